import type { Knex } from 'knex'
import type { RemovedClass, SchoolClass } from '@esfuerzo/contract'
import { byAlias } from '@esfuerzo/core/classBook'
import { dropDone } from '../tables/dropRows.ts'
import { goneAt, pupilBinDays } from './bin.ts'
import { oneAtATime } from '../rights/oneAtATime.ts'
import { owned } from '../rights/rights.ts'

interface Row {
  id: string
  teacher_id: string
  name: string
  grades: number[]
  /** As text, because a date has no time zone. */
  ends: string
  keep_months: number
  pace: number | null
  removed_at: Date | null
  pupils: string
}

/** What its teacher says about a class; the end of the year and the retention stay if left out. */
type ClassFields = Pick<SchoolClass, 'name' | 'grades'> & {
  yearEnds?: string | undefined
  keepMonths?: number | undefined
  pace?: number | null | undefined
}

const classOf = ({ id, name, grades, ends, keep_months, pace, pupils }: Row): SchoolClass => ({
  id,
  name,
  grades,
  yearEnds: ends,
  keepMonths: keep_months,
  pace,
  pupils: Number(pupils),
})

/** Limit of classes for a teacher. */
export const classRoom = 60

const columns = `classes.*, classes.year_ends::text as ends,
  (select count(*) from pupils p where p.class_id = classes.id and p.removed_at is null) as pupils`

const own = (db: Knex, teacherId: string) => owned(db, teacherId, 'classes').select(db.raw(columns))

/** A teacher's classes by name, numbers in it by size; deleted ones apart. */
export async function listClasses(
  db: Knex,
  teacherId: string,
): Promise<{ classes: SchoolClass[]; removed: RemovedClass[] }> {
  const rows: Row[] = await own(db, teacherId)
  rows.sort((a, b) => byAlias(a.name, b.name))
  return {
    classes: rows.filter((r) => !r.removed_at).map(classOf),
    removed: rows.flatMap(({ id, name, pupils, removed_at }) =>
      removed_at ? [{ id, name, pupils: Number(pupils), goneAt: goneAt(removed_at) }] : [],
    ),
  }
}

/** One of hers that is not deleted. */
export async function findClass(db: Knex, teacherId: string, id: string): Promise<SchoolClass | undefined> {
  const row: Row | undefined = await own(db, teacherId).where({ id, removed_at: null }).first()
  return row && classOf(row)
}

/** Its stored fields; missing ones use the column's default. */
const stored = ({
  name,
  grades,
  yearEnds,
  keepMonths,
  pace,
}: { [K in keyof ClassFields]?: ClassFields[K] | undefined }) => ({
  ...(name !== undefined && { name }),
  ...(grades !== undefined && { grades }),
  ...(yearEnds !== undefined && { year_ends: yearEnds }),
  ...(keepMonths !== undefined && { keep_months: keepMonths }),
  ...(pace !== undefined && { pace }),
})

/** @returns undefined if the limit is reached */
export const addClass = (
  db: Knex,
  teacherId: string,
  id: string,
  fields: ClassFields,
): Promise<SchoolClass | undefined> =>
  db.transaction(async (trx) => {
    await oneAtATime(trx, teacherId)
    const [count] = await owned(trx, teacherId, 'classes').count({ n: '*' })
    if (Number(count!.n) >= classRoom) return undefined
    await trx('classes').insert({ id, teacher_id: teacherId, ...stored(fields) })
    return findClass(trx, teacherId, id)
  })

/** Changes a class's fields; missing ones stay. @returns undefined if it is not hers */
export async function saveClass(
  db: Knex,
  teacherId: string,
  id: string,
  fields: { [K in keyof ClassFields]?: ClassFields[K] | undefined },
): Promise<SchoolClass | undefined> {
  if (Object.keys(stored(fields)).length)
    await owned(db, teacherId, 'classes').where({ id, removed_at: null }).update(stored(fields))
  return findClass(db, teacherId, id)
}

/** Deletes a class with its pupils; it can be restored for a week. @returns false if it is not hers */
export const removeClass = async (db: Knex, teacherId: string, id: string, at = new Date()): Promise<boolean> =>
  (await owned(db, teacherId, 'classes').where({ id, removed_at: null }).update({ removed_at: at })) > 0

/** @returns undefined if there is nothing to restore */
export async function restoreClass(db: Knex, teacherId: string, id: string): Promise<SchoolClass | undefined> {
  const found = await owned(db, teacherId, 'classes')
    .where({ id })
    .whereNotNull('removed_at')
    .update({ removed_at: null })
  return found > 0 ? findClass(db, teacherId, id) : undefined
}

/** Permanently deletes a class with its pupils and all their results. Its links then become links for all classes. */
export async function deleteClass(db: Knex, teacherId: string, id: string): Promise<boolean> {
  await dropDone(db, { pupils: owned(db, teacherId, 'pupils').where({ class_id: id }) })
  return (await owned(db, teacherId, 'classes').where({ id }).delete()) > 0
}

/** Classes whose time in the trash is over. */
export const classesToGo = (db: Knex): Promise<{ id: string; teacher_id: string }[]> =>
  db('classes').whereRaw(`removed_at < now() - interval '${pupilBinDays} days'`).select('id', 'teacher_id')

/** Whether a class is a teacher's. */
export const isOwnClass = async (db: Knex, teacherId: string, id: string): Promise<boolean> =>
  (await findClass(db, teacherId, id)) !== undefined
