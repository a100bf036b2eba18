import type { Knex } from 'knex'

/** Terms, their revisions, and the addresses that calendars poll. */
export async function up(knex: Knex): Promise<void> {
  await knex.schema.createTable('terms', (t) => {
    t.uuid('id').primary()
    t.uuid('teacher_id').notNullable().references('teachers.id').onDelete('cascade')
    t.text('title').notNullable()
    t.date('starts').notNullable()
    t.integer('weeks').notNullable()
    t.integer('revision').notNullable().defaultTo(1)
    t.jsonb('document').notNullable()
    t.timestamp('created_at').notNullable().defaultTo(knex.fn.now())
    t.timestamp('updated_at').notNullable().defaultTo(knex.fn.now())
    t.timestamp('removed_at')
    t.index(['teacher_id', 'starts'])
  })
  await knex.schema.createTable('term_versions', (t) => {
    t.uuid('id').primary()
    t.bigIncrements('place', { primaryKey: false })
    t.uuid('term_id').notNullable().references('terms.id').onDelete('cascade')
    t.jsonb('document').notNullable()
    t.text('name')
    t.text('reason').notNullable().defaultTo('edit')
    t.timestamp('started_at').notNullable().defaultTo(knex.fn.now())
    t.timestamp('saved_at').notNullable().defaultTo(knex.fn.now())
    t.boolean('closed').notNullable().defaultTo(false)
    t.index(['term_id', 'place'])
  })
  await knex.schema.createTable('term_links', (t) => {
    t.uuid('id').primary()
    t.uuid('term_id').notNullable().references('terms.id').onDelete('cascade')
    // Nothing stored opens it.
    t.text('token_hash').notNullable().unique()
    t.timestamp('created_at').notNullable().defaultTo(knex.fn.now())
    t.timestamp('ended_at')
    t.index('term_id')
  })
  await knex.raw('create unique index term_links_one on term_links (term_id) where ended_at is null')
}

export async function down(knex: Knex): Promise<void> {
  for (const table of ['term_links', 'term_versions', 'terms']) await knex.schema.dropTable(table)
}
