import type { Knex } from 'knex'

/** How a test was done differently from its description: only comparable results are compared. */
export async function up(knex: Knex): Promise<void> {
  await knex.schema.alterTable('results', (t) => void t.text('how'))
}

export async function down(knex: Knex): Promise<void> {
  await knex.schema.alterTable('results', (t) => void t.dropColumn('how'))
}
