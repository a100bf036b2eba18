import type { Knex } from 'knex'

/** How each table tells its owner: by its own column, or by the row it belongs to. */
const ownership = {
  teachers: { column: 'id' },
  workouts: { column: 'teacher_id' },
  terms: { column: 'teacher_id' },
  classes: { column: 'teacher_id' },
  pupils: { column: 'teacher_id' },
  publications: { column: 'teacher_id' },
  results: { column: 'teacher_id' },
  copies: { column: 'teacher_id' },
  shelf: { column: 'teacher_id' },
  own_moves: { column: 'teacher_id' },
  events: { column: 'teacher_id' },
  workout_versions: { parent: 'workouts', key: 'workout_id' },
  originals: { parent: 'workouts', key: 'workout_id' },
  term_versions: { parent: 'terms', key: 'term_id' },
  term_links: { parent: 'terms', key: 'term_id' },
  runs: { parent: 'publications', key: 'publication_id' },
  published_facts: { parent: 'publications', key: 'publication_id' },
} as const

/** A table whose rows each belong to one teacher. */
export type OwnedTable = keyof typeof ownership
type Parent = 'workouts' | 'terms' | 'publications'

/** Every table whose rows belong to a teacher. */
export const ownedTables = Object.keys(ownership) as OwnedTable[]

/**
 * The condition under which a teacher may read or change a row. Being its owner is the only right; any other right is added here, and no
 * store writes such a condition itself.
 *
 * @param alias the table's alias in the statement
 * @returns SQL with the binding `teacherId`
 * @example ownerSql('runs', 'r') // 'exists (select from publications o where o.id = r.publication_id and o.teacher_id = :teacherId)'
 */
export function ownerSql(table: OwnedTable, alias: string = table): string {
  const rule: { column?: string; parent?: Parent; key?: string } = ownership[table]
  return rule.column
    ? `${alias}.${rule.column} = :teacherId`
    : `exists (select from ${rule.parent} o where o.id = ${alias}.${rule.key} and o.teacher_id = :teacherId)`
}

/**
 * Restricts a query to a teacher's own rows of one of its tables.
 *
 * @example db('runs as r').modify(ownedBy(teacherId, 'runs', 'r'))
 */
export const ownedBy =
  (teacherId: string, table: OwnedTable, alias?: string) =>
  (query: Knex.QueryBuilder): void =>
    void query.whereRaw(ownerSql(table, alias), { teacherId })

/** A query over a teacher's own rows of a table, to read, update or delete them. */
export function owned(db: Knex, teacherId: string, table: OwnedTable): Knex.QueryBuilder
export function owned<Row extends object>(db: Knex, teacherId: string, table: OwnedTable): Knex.QueryBuilder<Row>
export function owned(db: Knex, teacherId: string, table: OwnedTable): Knex.QueryBuilder {
  return db(table).modify(ownedBy(teacherId, table))
}

/** Whether a row is a teacher's own. With `lock` the row is locked until the transaction ends. */
export async function isOwn(
  db: Knex,
  teacherId: string,
  table: OwnedTable,
  id: string,
  lock: 'lock' | 'look' = 'look',
): Promise<boolean> {
  const query = owned(db, teacherId, table).where({ id })
  return (await (lock === 'lock' ? query.forUpdate() : query).first('id')) !== undefined
}
