import type { Knex } from 'knex'

/** What a mailed link does: lets its reader choose a password, or signs in. */
export async function up(knex: Knex): Promise<void> {
  await knex.schema.alterTable('mailed_links', (t) => void t.text('purpose').notNullable().defaultTo('password'))
}

export async function down(knex: Knex): Promise<void> {
  await knex.schema.alterTable('mailed_links', (t) => void t.dropColumn('purpose'))
}
