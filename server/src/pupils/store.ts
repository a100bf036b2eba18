import type { Knex } from 'knex'
import type { Pupil, RemovedPupil } from '@esfuerzo/contract'
import { aliasKey, byAlias, codeLengths, pupilRoom } from '@esfuerzo/core/classBook'
import { dropDone } from '../tables/dropRows.ts'
import { goneAt, pupilBinDays } from '../classes/bin.ts'
import { freeSlip, pupilCode, shortCode } from './pupilCode.ts'
import { oneAtATime } from '../rights/oneAtATime.ts'
import { owned } from '../rights/rights.ts'

interface Row {
  id: string
  class_id: string
  alias: string
  alias_key: string
  slip: number
  /** Whether its old short code still works. */
  short_code: boolean
  note: string
  removed_at: Date | null
}
type Counted = Row & { results: string }

const countResults =
  '(select count(*) from results r where r.pupil_id = pupils.id and r.replaced_by is null and r.value is not null) as results'

const pupilOf = ({ id, alias, note, results }: Counted): Pupil => ({ id, alias, note, results: Number(results) })

/** Pupils of a class by alias; deleted ones apart. */
export async function listPupils(
  db: Knex,
  teacherId: string,
  classId: string,
): Promise<{ pupils: Pupil[]; removed: RemovedPupil[] }> {
  const rows: Counted[] = await owned(db, teacherId, 'pupils')
    .where({ class_id: classId })
    .select('*')
    .select(db.raw(countResults))
  const listed = rows.sort((a, b) => byAlias(a.alias, b.alias))
  return {
    pupils: listed.filter((r) => !r.removed_at).map(pupilOf),
    removed: listed.flatMap(({ id, alias, removed_at }) =>
      removed_at ? [{ id, alias, goneAt: goneAt(removed_at) }] : [],
    ),
  }
}

/** One of hers that is not deleted. */
export const findPupil = (db: Knex, teacherId: string, id: string): Promise<Row | undefined> =>
  owned(db, teacherId, 'pupils').where({ id, removed_at: null }).first()

const codesOf = async (trx: Knex.Transaction, teacherId: string, secret: string): Promise<Map<string, string>> => {
  const all: Pick<Row, 'id' | 'slip'>[] = await owned(trx, teacherId, 'pupils').select('id', 'slip')
  return new Map(all.map(({ id, slip }) => [pupilCode(id, slip, secret), id]))
}

/** Why pupils could not be changed as requested. */
export type PupilRefusal = 'no-class' | 'no-room' | { taken: string }
export const isRefusal = (answer: Pupil | PupilRefusal): answer is PupilRefusal =>
  typeof answer === 'string' || 'taken' in answer

/** Whether an alias is free in a class, and there is room. */
async function refusal(
  trx: Knex.Transaction,
  teacherId: string,
  classId: string,
  aliases: readonly string[],
  but?: string,
): Promise<PupilRefusal | undefined> {
  const hers = await owned(trx, teacherId, 'classes').where({ id: classId, removed_at: null }).first('id')
  if (!hers) return 'no-class'
  const there: Pick<Row, 'id' | 'alias_key'>[] = await trx('pupils')
    .where({ class_id: classId, removed_at: null })
    .select('id', 'alias_key')
  const others = there.filter((p) => p.id !== but)
  const used = new Set(others.map((p) => p.alias_key))
  for (const alias of aliases) {
    if (used.has(aliasKey(alias))) return { taken: alias }
    used.add(aliasKey(alias))
  }
  return others.length + aliases.length > pupilRoom ? 'no-room' : undefined
}

export interface NewPupil {
  id: string
  alias: string
}

/** Adds pupils to a class: all or none. @returns why none were added */
export const addPupils = (
  db: Knex,
  teacherId: string,
  classId: string,
  pupils: readonly NewPupil[],
  secret: string,
): Promise<PupilRefusal | undefined> =>
  db.transaction(async (trx) => {
    await oneAtATime(trx, teacherId)
    const refused = await refusal(
      trx,
      teacherId,
      classId,
      pupils.map((p) => p.alias),
    )
    if (refused) return refused
    const codes = new Set((await codesOf(trx, teacherId, secret)).keys())
    const rows = pupils.map(({ id, alias }) => {
      const slip = freeSlip(id, 1, secret, codes)
      codes.add(pupilCode(id, slip, secret))
      return { id, teacher_id: teacherId, class_id: classId, alias, alias_key: aliasKey(alias), slip }
    })
    await trx('pupils').insert(rows)
    return undefined
  })

/** One of hers with its number of results. */
async function readPupil(db: Knex, teacherId: string, id: string): Promise<Pupil> {
  const row: Counted = await owned(db, teacherId, 'pupils').where({ id }).select('*').first(db.raw(countResults))
  return pupilOf(row)
}

/**
 * Changes a pupil's alias, note or class; missing fields stay. Results and code move with the pupil.
 *
 * @returns the changed pupil; undefined if it is not hers, or why it was not changed
 */
export const savePupil = (
  db: Knex,
  teacherId: string,
  id: string,
  { alias, note, classId }: { alias?: string | undefined; note?: string | undefined; classId?: string | undefined },
): Promise<Pupil | undefined | PupilRefusal> =>
  db.transaction(async (trx) => {
    await oneAtATime(trx, teacherId)
    const found = await findPupil(trx, teacherId, id)
    if (!found) return undefined
    const moves = classId !== undefined && classId !== found.class_id
    const named = alias !== undefined && aliasKey(alias) !== found.alias_key
    if (moves || named) {
      const refused = await refusal(trx, teacherId, classId ?? found.class_id, [alias ?? found.alias], id)
      if (refused) return refused
    }
    const changed = {
      ...(alias !== undefined && { alias, alias_key: aliasKey(alias) }),
      ...(note !== undefined && { note }),
      ...(classId !== undefined && { class_id: classId }),
    }
    if (Object.keys(changed).length) await owned(trx, teacherId, 'pupils').where({ id }).update(changed)
    return readPupil(trx, teacherId, id)
  })

/** Gives a pupil a new code. @returns false if it is not hers */
export const renewCode = (db: Knex, teacherId: string, id: string, secret: string): Promise<boolean> =>
  db.transaction(async (trx) => {
    await oneAtATime(trx, teacherId)
    const found = await findPupil(trx, teacherId, id)
    if (!found) return false
    const codes = new Set((await codesOf(trx, teacherId, secret)).keys())
    await owned(trx, teacherId, 'pupils')
      .where({ id })
      .update({ slip: freeSlip(id, found.slip + 1, secret, codes), short_code: false })
    return true
  })

/** Deletes a pupil, to be restored within {@link pupilBinDays}. @returns false if it is not hers */
export const removePupil = (db: Knex, teacherId: string, id: string, at = new Date()): Promise<boolean> =>
  db.transaction(async (trx) => {
    await oneAtATime(trx, teacherId)
    return (await owned(trx, teacherId, 'pupils').where({ id, removed_at: null }).update({ removed_at: at })) > 0
  })

/** Restores a pupil. @returns the pupil; undefined if there is nothing to restore, or why it failed */
export const restorePupil = (db: Knex, teacherId: string, id: string): Promise<Pupil | undefined | PupilRefusal> =>
  db.transaction(async (trx) => {
    await oneAtATime(trx, teacherId)
    const found: Row | undefined = await owned(trx, teacherId, 'pupils')
      .where({ id })
      .whereNotNull('removed_at')
      .first()
    if (!found) return undefined
    const refused = await refusal(trx, teacherId, found.class_id, [found.alias], id)
    if (refused) return refused
    await owned(trx, teacherId, 'pupils').where({ id }).update({ removed_at: null })
    return readPupil(trx, teacherId, id)
  })

/**
 * Makes every pupil's code unique among the teacher's pupils: under another secret two may have become equal.
 *
 * @returns how many pupils got a new slip
 */
export const separateCodes = (db: Knex, secret: string, codeFor: typeof pupilCode = pupilCode): Promise<number> =>
  db.transaction(async (trx) => {
    const rows: (Row & { teacher_id: string })[] = await trx('pupils').forUpdate().orderBy(['created_at', 'id'])
    const codes = new Map<string, Set<string>>()
    let changed = 0
    for (const { id, teacher_id, slip } of rows) {
      const taken = codes.get(teacher_id) ?? new Set()
      const free = freeSlip(id, slip, secret, taken, codeFor)
      codes.set(teacher_id, taken.add(codeFor(id, free, secret)))
      if (free === slip) continue
      await trx('pupils').where({ id }).update({ slip: free, short_code: false })
      changed++
    }
    return changed
  })

/** Deletes a pupil with its runs and results permanently. @returns false if it is not hers */
export async function deletePupil(db: Knex, teacherId: string, id: string): Promise<boolean> {
  await dropDone(db, { pupils: owned(db, teacherId, 'pupils').where({ id }) })
  return db.transaction(async (trx) => {
    await oneAtATime(trx, teacherId)
    return (await owned(trx, teacherId, 'pupils').where({ id }).delete()) > 0
  })
}

/** Pupils whose time in the trash is over. */
export const pupilsToGo = (db: Knex): Promise<{ id: string; teacher_id: string }[]> =>
  db('pupils').whereRaw(`removed_at < now() - interval '${pupilBinDays} days'`).select('id', 'teacher_id')

/** Codes of a class's pupils for printing, in the order of their aliases. */
export async function slipsOf(
  db: Knex,
  teacherId: string,
  classId: string,
  secret: string,
): Promise<{ id: string; code: string }[]> {
  const rows: Row[] = await owned(db, teacherId, 'pupils').where({ class_id: classId, removed_at: null })
  return rows
    .sort((a, b) => byAlias(a.alias, b.alias))
    .map(({ id, slip }) => ({ id, code: pupilCode(id, slip, secret) }))
}

/**
 * The pupil with a code, among those a link is for: the pupils of its class, or of all of the teacher's classes.
 *
 * @returns undefined if nobody has it
 */
export async function findByCode(
  db: Knex,
  link: { teacherId: string; classId: string | null },
  code: string,
  secret: string,
): Promise<{ id: string; alias: string; slip: number } | undefined> {
  const rows: Row[] = await db('pupils as p')
    .join('classes as c', 'c.id', 'p.class_id')
    .where({ 'p.teacher_id': link.teacherId, 'p.removed_at': null, 'c.removed_at': null })
    .modify((query) => link.classId && query.where({ 'p.class_id': link.classId }))
    .select('p.*')
  const isShort = code.length === codeLengths.before
  const found = rows.find(({ id, slip, short_code }) =>
    isShort ? short_code && shortCode(id, slip, secret) === code : pupilCode(id, slip, secret) === code,
  )
  // Using the long code proves the new slip: the short one ends.
  if (found?.short_code && !isShort)
    await owned(db, link.teacherId, 'pupils').where({ id: found.id }).update({ short_code: false })
  return found
}

/** How many pupils a link's codes can belong to: those of its class, or all of the teacher's. */
export async function countReached(
  db: Knex,
  { teacherId, classId }: { teacherId: string; classId: string | null },
): Promise<number> {
  const [count] = await owned(db, teacherId, 'pupils')
    .where({ removed_at: null, ...(classId && { class_id: classId }) })
    .count({ n: '*' })
  return Number(count!.n)
}
