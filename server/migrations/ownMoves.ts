import type { Knex } from 'knex'

/** A teacher's own exercises, with the figures drawn for them. */
export async function up(knex: Knex): Promise<void> {
  await knex.schema.createTable('own_moves', (t) => {
    t.uuid('teacher_id').notNullable().references('teachers.id').onDelete('cascade')
    t.text('id').notNullable()
    t.jsonb('document').notNullable()
    t.timestamp('changed_at').notNullable().defaultTo(knex.fn.now())
    t.primary(['teacher_id', 'id'])
  })
}

export async function down(knex: Knex): Promise<void> {
  await knex.schema.dropTable('own_moves')
}
