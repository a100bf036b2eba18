import type { Knex } from 'knex'

/**
 * A time zone unknown to the database would stop a teacher's cleanup; a device's unset clock moves a run out of its year. Own exercises
 * count their saves. Existing pupils keep their short codes until a longer one is used.
 */
export async function up(knex: Knex): Promise<void> {
  await knex.schema.alterTable('teachers', (t) => {
    // The name of her zone before it was set to UTC; she is notified until she chooses another.
    t.text('unknown_zone')
  })
  await knex.raw(`
    update teachers set unknown_zone = zone, zone = 'UTC', settings = jsonb_set(settings, '{zone}', '"UTC"')
    where not exists (select from pg_timezone_names n where lower(n.name) = lower(teachers.zone))`)
  await knex.schema.alterTable('own_moves', (t) => {
    t.integer('revision').notNullable().defaultTo(1)
  })
  await knex.schema.alterTable('pupils', (t) => {
    t.boolean('short_code').notNullable().defaultTo(false)
  })
  await knex('pupils').update({ short_code: true })
  await knex.schema.alterTable('runs', (t) => {
    // What lists need of a run, so that its document is not read for them.
    t.jsonb('came_back')
  })
  // The same bounds as runs/runMoment.ts.
  const odd = `finished_at not between received_at - interval '400 days' and received_at + interval '1 day'`
  await knex.raw(`
    update results set at = r.received_at from runs r
    where results.publication_id = r.publication_id and results.run_id = r.id and r.${odd}`)
  await knex.raw(`update runs set finished_at = received_at, started_at = received_at where ${odd}`)
  // A value and its replacement belong to one pupil's session and are deleted together. Checked on every row, the constraint took half of a
  // cleanup's time.
  await knex.schema.alterTable('results', (t) => void t.dropForeign('replaced_by'))
  // Indexes for finding expired results.
  await knex.raw('create index results_of_pupil_at on results (pupil_id, at)')
  await knex.raw('create index runs_of_pupil_finished on runs (pupil_id, finished_at)')
  await knex.raw('create index publications_class on publications (class_id) where class_id is not null')
}

export async function down(knex: Knex): Promise<void> {
  for (const index of ['publications_class', 'runs_of_pupil_finished', 'results_of_pupil_at'])
    await knex.raw('drop index ??', [index])
  await knex('results')
    .whereNotNull('replaced_by')
    .whereNotIn('replaced_by', knex('results').select('id'))
    .update({ replaced_by: null })
  await knex.schema.alterTable(
    'results',
    (t) => void t.foreign('replaced_by').references('results.id').onDelete('set null'),
  )
  await knex.schema.alterTable('runs', (t) => void t.dropColumn('came_back'))
  await knex.schema.alterTable('pupils', (t) => void t.dropColumn('short_code'))
  await knex.schema.alterTable('own_moves', (t) => void t.dropColumn('revision'))
  await knex.schema.alterTable('teachers', (t) => void t.dropColumn('unknown_zone'))
}
