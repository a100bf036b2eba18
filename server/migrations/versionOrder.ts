import type { Knex } from 'knex'

/** Revisions in the order in which they were made, regardless of the clock, which may be set back. */
export async function up(knex: Knex): Promise<void> {
  await knex.raw('alter table workout_versions add column place bigint')
  await knex.raw(
    `update workout_versions v set place = o.place
     from (select id, row_number() over (order by saved_at, started_at, id) as place from workout_versions) o
     where o.id = v.id`,
  )
  await knex.raw('create sequence workout_versions_place owned by workout_versions.place')
  await knex.raw(
    "select setval('workout_versions_place', coalesce((select max(place) from workout_versions), 0) + 1, false)",
  )
  await knex.raw("alter table workout_versions alter column place set default nextval('workout_versions_place')")
  await knex.raw('alter table workout_versions alter column place set not null')
  await knex.raw('create index workout_versions_order on workout_versions (workout_id, place)')
}

export async function down(knex: Knex): Promise<void> {
  await knex.raw('alter table workout_versions drop column place')
}
