import { createHash } from 'node:crypto'
import type { Knex } from 'knex'

/** Every table of a database by its number of rows and a hash over all of them, in the order of their text. */
export async function contents(db: Knex): Promise<Record<string, string>> {
  const { rows } = await db.raw<{ rows: { name: string }[] }>(
    "select table_name as name from information_schema.tables where table_schema = 'public' order by 1",
  )
  const tables: Record<string, string> = {}
  for (const { name } of rows) {
    const { rows: lines } = await db.raw<{ rows: { line: string }[] }>(`select t::text as line from ?? t order by 1`, [
      name,
    ])
    const hash = createHash('sha256')
    for (const { line } of lines) hash.update(line)
    tables[name] = `${lines.length} ${hash.digest('hex')}`
  }
  return tables
}
