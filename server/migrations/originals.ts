import type { Knex } from 'knex'

/** The text a session was imported from, kept until its teacher discards it, deleted with the session. */
export async function up(knex: Knex): Promise<void> {
  await knex.schema.createTable('originals', (t) => {
    t.uuid('workout_id').primary().references('workouts.id').onDelete('cascade')
    t.text('text').notNullable()
    t.timestamp('created_at').notNullable().defaultTo(knex.fn.now())
  })
}

export const down = (knex: Knex): Promise<void> => knex.schema.dropTable('originals')
