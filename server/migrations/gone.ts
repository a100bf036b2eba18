import type { Knex } from 'knex'

/** Every server is told about permanent deletions, so that none goes on answering from memory. */
export async function up(knex: Knex): Promise<void> {
  for (const [table, kind, key] of told) {
    await knex.raw(`
      create function tell_${kind}_gone() returns trigger language plpgsql as $$
      begin
        perform pg_notify('gone', json_build_object('${kind}', old.${key})::text);
        return null;
      end $$`)
    await knex.raw(`create trigger gone after delete on ${table} for each row execute function tell_${kind}_gone()`)
  }
}

const told = [
  ['snapshots', 'snapshot', 'sha256'],
  ['teachers', 'teacher', 'id'],
] as const

export async function down(knex: Knex): Promise<void> {
  for (const [table, kind] of told) {
    await knex.raw(`drop trigger gone on ${table}`)
    await knex.raw(`drop function tell_${kind}_gone`)
  }
}
