import type { Knex } from 'knex'

/** The classes sessions are sent to, and which class a link is for. */
export async function up(knex: Knex): Promise<void> {
  await knex.schema.createTable('classes', (t) => {
    t.uuid('id').primary()
    t.uuid('teacher_id').notNullable().references('teachers.id').onDelete('cascade')
    t.text('name').notNullable()
    t.specificType('grades', 'integer[]').notNullable()
    t.timestamp('created_at').notNullable().defaultTo(knex.fn.now())
    t.index(['teacher_id', 'created_at'])
  })
  await knex.schema.alterTable('publications', (t) => {
    t.uuid('class_id').references('classes.id').onDelete('set null')
  })
}

export async function down(knex: Knex): Promise<void> {
  await knex.schema.alterTable('publications', (t) => {
    t.dropColumn('class_id')
  })
  await knex.schema.dropTable('classes')
}
