import type { Knex } from 'knex'

/** Why a link was ended: a run that was finished before is still accepted, unless the link was ended for misuse. */
export async function up(knex: Knex): Promise<void> {
  await knex.schema.alterTable('publications', (t) => {
    t.boolean('misused').notNullable().defaultTo(false)
  })
}

export async function down(knex: Knex): Promise<void> {
  await knex.schema.alterTable('publications', (t) => void t.dropColumn('misused'))
}
