import type { Knex } from 'knex'

/** Results as single rows, and facts about publications: no list has to read a snapshot or a run's document. */
export async function up(knex: Knex): Promise<void> {
  await knex.schema.alterTable('runs', (t) => {
    // Runs stored by the previous release, also while both releases run, have no rows yet.
    t.boolean('has_rows').notNullable().defaultTo(false)
  })
  await knex.schema.createTable('results', (t) => {
    t.uuid('id').primary().defaultTo(knex.raw('gen_random_uuid()'))
    t.uuid('teacher_id').notNullable().references('teachers.id').onDelete('cascade')
    t.uuid('class_id').references('classes.id').onDelete('set null')
    t.uuid('pupil_id')
    t.text('source').notNullable().checkIn(['run', 'typed', 'imported'])
    t.uuid('publication_id')
    t.uuid('run_id')
    t.text('block')
    t.text('station')
    t.text('test')
    t.text('test_set_up')
    t.smallint('trial')
    t.smallint('lap')
    t.smallint('rung')
    t.text('move')
    t.text('version')
    t.text('name').notNullable()
    t.text('unit').notNullable()
    t.double('value').notNullable()
    t.double('kg')
    t.text('clean')
    t.timestamp('at').notNullable()
    t.text('by').notNullable()
    t.uuid('replaced_by').references('results.id').onDelete('set null')
    t.foreign(['publication_id', 'run_id']).references(['publication_id', 'id']).inTable('runs').onDelete('cascade')
    t.index(['teacher_id', 'at'])
    t.index(['publication_id', 'run_id'])
    t.index('class_id')
  })
  await knex.raw('create index runs_without_rows on runs (publication_id, id) where not has_rows')
  await knex.schema.createTable('published_facts', (t) => {
    t.uuid('publication_id').primary().references('publications.id').onDelete('cascade')
    t.specificType('moves', 'text[]').notNullable()
    t.specificType('families', 'text[]').notNullable()
    t.specificType('forms', 'text[]').notNullable()
    t.smallint('minutes').notNullable()
  })
}

export async function down(knex: Knex): Promise<void> {
  await knex.schema.dropTable('published_facts')
  await knex.schema.dropTable('results')
  await knex.raw('drop index runs_without_rows')
  await knex.schema.alterTable('runs', (t) => void t.dropColumn('has_rows'))
}
