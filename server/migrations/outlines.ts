import type { Knex } from 'knex'

/** What the server needs of a snapshot, so that the whole snapshot is not read for a run or a list. */
export async function up(knex: Knex): Promise<void> {
  await knex.schema.alterTable('snapshots', (t) => void t.jsonb('outline'))
}

export async function down(knex: Knex): Promise<void> {
  await knex.schema.alterTable('snapshots', (t) => void t.dropColumn('outline'))
}
