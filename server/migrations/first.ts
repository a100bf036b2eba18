import type { Knex } from 'knex'

/** Teachers, their sessions, publications and runs; sign-ins and limits, so that several servers can run side by side. */
export async function up(knex: Knex): Promise<void> {
  await knex.schema.createTable('teachers', (t) => {
    t.uuid('id').primary()
    t.text('email').notNullable()
    t.text('name').notNullable()
    t.text('password_hash').notNullable()
    t.text('zone').notNullable()
    t.timestamp('created_at').notNullable().defaultTo(knex.fn.now())
  })
  await knex.raw('create unique index teachers_email on teachers (lower(email))')

  await knex.schema.createTable('workouts', (t) => {
    t.uuid('id').primary()
    t.uuid('teacher_id').notNullable().references('teachers.id').onDelete('cascade')
    t.text('title').notNullable()
    t.integer('minutes').notNullable()
    t.integer('revision').notNullable().defaultTo(1)
    t.jsonb('document').notNullable()
    t.timestamp('created_at').notNullable().defaultTo(knex.fn.now())
    t.timestamp('updated_at').notNullable().defaultTo(knex.fn.now())
    t.timestamp('removed_at')
    t.index(['teacher_id', 'updated_at'])
  })

  await knex.schema.createTable('snapshots', (t) => {
    t.text('sha256').primary()
    t.text('body').notNullable()
    t.timestamp('created_at').notNullable().defaultTo(knex.fn.now())
  })

  await knex.schema.createTable('publications', (t) => {
    t.uuid('id').primary()
    t.uuid('teacher_id').notNullable().references('teachers.id').onDelete('cascade')
    t.uuid('workout_id').notNullable().references('workouts.id').onDelete('cascade')
    t.text('sha256').notNullable().references('snapshots.sha256')
    // The hash of the token, so that no row here opens a link.
    t.text('token_hash').notNullable().unique()
    t.text('title').notNullable()
    t.timestamp('created_at').notNullable().defaultTo(knex.fn.now())
    t.timestamp('ends_at').notNullable()
    t.timestamp('ended_at')
    t.index(['workout_id', 'created_at'])
  })

  await knex.schema.createTable('runs', (t) => {
    t.uuid('publication_id').notNullable().references('publications.id').onDelete('cascade')
    // Made on the device; together with the publication it is the key, so that a run sent twice is stored once.
    t.uuid('id').notNullable()
    t.text('group_id').notNullable()
    t.timestamp('started_at').notNullable()
    t.timestamp('finished_at').notNullable()
    t.text('zone').notNullable()
    t.timestamp('received_at').notNullable().defaultTo(knex.fn.now())
    t.jsonb('document').notNullable()
    t.primary(['publication_id', 'id'])
    t.index(['publication_id', 'received_at'])
  })

  // As connect-pg-simple wants it.
  await knex.schema.createTable('sign_ins', (t) => {
    t.text('sid').primary()
    t.json('sess').notNullable()
    t.timestamp('expire', { precision: 6 }).notNullable().index()
  })

  // As rate-limiter-flexible wants it.
  await knex.schema.createTable('limits', (t) => {
    t.string('key', 255).primary()
    t.integer('points').notNullable().defaultTo(0)
    t.bigInteger('expire')
  })
}

export async function down(knex: Knex): Promise<void> {
  for (const table of ['limits', 'sign_ins', 'runs', 'publications', 'snapshots', 'workouts', 'teachers']) {
    await knex.schema.dropTableIfExists(table)
  }
}
