import type { Knex } from 'knex'

/** What the server has to know of a snapshot, so that nobody reads it whole for a run or for a list. */
export async function up(knex: Knex): Promise<void> {
  await knex.schema.alterTable('snapshots', (t) => void t.jsonb('outline'))
}

export async function down(knex: Knex): Promise<void> {
  await knex.schema.alterTable('snapshots', (t) => void t.dropColumn('outline'))
}
