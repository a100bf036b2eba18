import type { Knex } from 'knex'

/** How a session came: the text it was begun from, kept until its teacher throws it away, gone with the session. */
export async function up(knex: Knex): Promise<void> {
  await knex.schema.createTable('originals', (t) => {
    t.uuid('workout_id').primary().references('workouts.id').onDelete('cascade')
    t.text('text').notNullable()
    t.timestamp('created_at').notNullable().defaultTo(knex.fn.now())
  })
}

export const down = (knex: Knex): Promise<void> => knex.schema.dropTable('originals')
