import type { Knex } from 'knex'

/** Revisions of sessions, saved parts, copies for colleagues, a school's settings, links sent by message. */
export async function up(knex: Knex): Promise<void> {
  await knex.schema.createTable('workout_versions', (t) => {
    t.uuid('id').primary()
    t.uuid('workout_id').notNullable().references('workouts.id').onDelete('cascade')
    t.jsonb('document').notNullable()
    t.text('name')
    t.text('reason').notNullable().defaultTo('edit')
    t.timestamp('started_at').notNullable().defaultTo(knex.fn.now())
    t.timestamp('saved_at').notNullable().defaultTo(knex.fn.now())
    // A closed revision is no longer overwritten: the next save starts another.
    t.boolean('closed').notNullable().defaultTo(false)
    t.index(['workout_id', 'saved_at'])
  })
  await knex.raw(
    `insert into workout_versions (id, workout_id, document, started_at, saved_at)
     select gen_random_uuid(), id, document, created_at, updated_at from workouts`,
  )

  await knex.schema.createTable('shelf', (t) => {
    t.uuid('id').primary()
    t.uuid('teacher_id').notNullable().references('teachers.id').onDelete('cascade')
    t.text('name').notNullable()
    t.jsonb('part').notNullable()
    t.timestamp('kept_at').notNullable().defaultTo(knex.fn.now())
    t.index(['teacher_id', 'kept_at'])
  })

  await knex.schema.createTable('copies', (t) => {
    t.uuid('id').primary()
    t.uuid('teacher_id').notNullable().references('teachers.id').onDelete('cascade')
    t.text('token_hash').notNullable().unique()
    t.jsonb('document').notNullable()
    t.timestamp('created_at').notNullable().defaultTo(knex.fn.now())
    t.timestamp('ends_at').notNullable()
  })

  // A link in a message that lets somebody choose a password, for an existing account or one to be created.
  await knex.schema.createTable('mailed_links', (t) => {
    t.text('token_hash').primary()
    t.uuid('teacher_id').references('teachers.id').onDelete('cascade')
    t.text('email').notNullable()
    t.text('name')
    t.text('zone')
    t.timestamp('ends_at').notNullable()
  })

  // The zone becomes a setting; settings of a school that never changed any are null.
  await knex.schema.alterTable('teachers', (t) => void t.jsonb('settings'))
}

export async function down(knex: Knex): Promise<void> {
  await knex.schema.alterTable('teachers', (t) => void t.dropColumn('settings'))
  for (const table of ['mailed_links', 'copies', 'shelf', 'workout_versions']) await knex.schema.dropTable(table)
}
