import type { Knex } from 'knex'

/** Events of an account that its teacher may want to see; the session's title is read from the session, so that it is deleted with it. */
export async function up(knex: Knex): Promise<void> {
  await knex.schema.createTable('events', (t) => {
    t.bigIncrements('id')
    t.uuid('teacher_id').notNullable().references('teachers.id').onDelete('cascade')
    t.timestamp('at').notNullable().defaultTo(knex.fn.now())
    t.text('kind').notNullable()
    t.uuid('workout_id').references('workouts.id').onDelete('set null')
    t.index(['teacher_id', 'id'])
    t.index('workout_id')
  })
}

export const down = (knex: Knex): Promise<void> => knex.schema.dropTable('events')
