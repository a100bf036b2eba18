import type { Knex } from 'knex'

/** How much longer a class takes than usual, if its teacher applies it. */
export async function up(knex: Knex): Promise<void> {
  await knex.schema.alterTable('classes', (t) => void t.double('pace'))
}

export async function down(knex: Knex): Promise<void> {
  await knex.schema.alterTable('classes', (t) => void t.dropColumn('pace'))
}
