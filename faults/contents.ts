import { createHash } from 'node:crypto'
import type { Knex } from 'knex'

/** The columns of every table. */
export async function columnsOf(db: Knex): Promise<Record<string, string[]>> {
  const { rows } = await db.raw<{ rows: { name: string; column: string }[] }>(
    `select table_name as name, column_name as column from information_schema.columns where table_schema = 'public'
     order by table_name, ordinal_position`,
  )
  const columns: Record<string, string[]> = {}
  for (const { name, column } of rows) (columns[name] ??= []).push(column)
  return columns
}

/**
 * Every table of a database by its row count and a hash of all rows, sorted by their text.
 *
 * @param columns which columns of each table; all by default
 */
export async function contents(db: Knex, columns?: Record<string, string[]>): Promise<Record<string, string>> {
  const tables: Record<string, string> = {}
  for (const [name, columnsOfTable] of Object.entries(columns ?? (await columnsOf(db)))) {
    const { rows } = await db.raw<{ rows: { line: string }[] }>(
      `select row(${columnsOfTable.map(() => '??').join(', ')})::text as line from ?? order by 1`,
      [...columnsOfTable, name],
    )
    const hash = createHash('sha256')
    for (const { line } of rows) hash.update(line)
    tables[name] = `${rows.length} ${hash.digest('hex')}`
  }
  return tables
}
