import type { Knex } from 'knex'

/** What was otherwise than a test says: only like is compared with like. */
export async function up(knex: Knex): Promise<void> {
  await knex.schema.alterTable('results', (t) => void t.text('how'))
}

export async function down(knex: Knex): Promise<void> {
  await knex.schema.alterTable('results', (t) => void t.dropColumn('how'))
}
