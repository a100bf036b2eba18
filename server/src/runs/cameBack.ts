import type { Knex } from 'knex'
import type { Session } from '@esfuerzo/core'
import { laneOfClass } from '@esfuerzo/core/classBook'
import { cameBackOf, type CameBack } from '@esfuerzo/core/nextTime'
import { pulseKinds } from '@esfuerzo/core/run'
import { owned, ownedBy, ownerSql } from '../rights/rights.ts'

/** How many of the last times a session was sent home are used, and how many children of each. */
const [lastTimes, mostChildren] = [2, 500]

/** What {@link cameBackOf} needs of a run stored by an earlier release: no more of it is read. */
const toldBack = `jsonb_strip_nulls(jsonb_build_object(
  'felt', r.document->'felt', 'steps', r.document->'steps', 'ended', r.document->'ended', 'pulses', r.document->'pulses',
  'results', coalesce((select jsonb_agg(jsonb_build_object('clean', clean))
                       from jsonb_path_query(r.document, '$.results[*].clean') clean), '[]'::jsonb)))`
type ToldBack = Parameters<typeof cameBackOf>[0]

/** How a session went: its last times, the latest first, and the classes that did it. */
export interface CameBackTimes {
  times: { sentAt: string; lanes: Record<string, CameBack[]> }[]
  /** The class that did it last is the first. */
  classes: { id: string; name: string }[]
  /** Children without a class did it too. */
  others: boolean
}

/** Runs of what was sent home, by children who still exist. A run belongs to its pupil's class, or to the one its link was made for. */
const runs = `runs r join publications p on p.id = r.publication_id left join pupils u on u.id = r.pupil_id`
const runIs = { standing: 'u.removed_at is null', class: 'coalesce(u.class_id, p.class_id)' }
/** Typed and imported results of children without a run for the same time: a run says more. */
const typed = `results r join publications p on p.id = r.publication_id join pupils u on u.id = r.pupil_id`
const typedIs = `r.source in ('typed', 'imported') and r.replaced_by is null and r.value is not null and u.removed_at is null
  and not exists (select from runs sent where sent.publication_id = r.publication_id and sent.pupil_id = r.pupil_id)`

/** Whose session, and of which class if `classId` is set. */
interface Asked {
  teacherId: string
  sessionId: string
  classId?: string | undefined
}

/** How a session went; undefined if it is not hers. */
export async function readCameBack(db: Knex, asked: Asked): Promise<CameBackTimes | undefined> {
  const { teacherId, sessionId, classId } = asked
  const hers: { document: Session } | undefined = await owned(db, teacherId, 'workouts')
    .where({ id: sessionId, removed_at: null })
    .first('document')
  if (!hers) return undefined
  const ofClass = (column: string) => (classId ? ` and ${column} = :classId` : '')
  const sent: { rows: { id: string; created_at: Date }[] } = await db.raw(
    `select p.id, p.created_at from publications p where p.workout_id = :sessionId and ${ownerSql('publications', 'p')} and (
       exists (select from runs r left join pupils u on u.id = r.pupil_id
         where r.publication_id = p.id and ${runIs.standing}${ofClass(runIs.class)})
       or exists (select from results r join pupils u on u.id = r.pupil_id
         where r.publication_id = p.id and ${typedIs}${ofClass('u.class_id')}))
     order by p.created_at desc limit ${lastTimes}`,
    { teacherId, sessionId, ...(classId && { classId }) },
  )
  const times = await Promise.all(
    sent.rows.map(async ({ id, created_at }) => ({
      sentAt: created_at.toISOString(),
      lanes: lanesOf([
        ...(await sentBy(db, { ...asked, publicationId: id })),
        ...(await typedOf(db, { ...asked, publicationId: id }, hers.document.groups)),
      ]),
    })),
  )
  return { times, ...(await classesOf(db, asked)) }
}

interface OfLane {
  lane: string
  told: CameBack
}

function lanesOf(all: readonly OfLane[]): Record<string, CameBack[]> {
  const lanes: Record<string, CameBack[]> = {}
  for (const { lane, told } of all) (lanes[lane] ??= []).push(told)
  return lanes
}

/** What runs of one time say. */
async function sentBy(
  db: Knex,
  { teacherId, classId, publicationId }: Asked & { publicationId: string },
): Promise<OfLane[]> {
  const rows: { group_id: string; came_back: CameBack | null; parts: ToldBack }[] = await db(db.raw(runs))
    .modify(ownedBy(teacherId, 'publications', 'p'))
    .where({ 'r.publication_id': publicationId })
    .whereRaw(runIs.standing)
    .modify((query) => classId && void query.whereRaw(`${runIs.class} = ?`, [classId]))
    .orderBy('r.finished_at', 'desc')
    .limit(mostChildren)
    .select('r.group_id', 'r.came_back', db.raw(`case when r.came_back is null then ${toldBack} end as parts`))
  return rows.map(({ group_id, came_back, parts }) => ({ lane: group_id, told: came_back ?? cameBackOf(parts) }))
}

interface TypedRow {
  grades: number[]
  scale: 'faces' | 'ten' | null
  felt: number | null
  clean: number
  told: number
  pulses: { what: string; rate: number }[] | null
}

const whenOf = Object.fromEntries(Object.entries(pulseKinds).map(([when, what]) => [what, when]))

/** What typed or imported results of one time say, child by child, in the class's lane. */
async function typedOf(
  db: Knex,
  { teacherId, classId, publicationId }: Asked & { publicationId: string },
  groups: Session['groups'],
): Promise<OfLane[]> {
  const rows: TypedRow[] = await db(db.raw(typed))
    .join('classes as c', 'c.id', 'u.class_id')
    .modify(ownedBy(teacherId, 'pupils', 'u'))
    .where({ 'r.publication_id': publicationId })
    .whereRaw(typedIs)
    .modify((query) => classId && void query.where({ 'u.class_id': classId }))
    .groupBy('u.id', 'c.grades')
    .orderBy('u.id')
    .limit(mostChildren)
    .select(
      'c.grades',
      db.raw(`min(r.unit) filter (where r.what = 'felt') as scale, min(r.value) filter (where r.what = 'felt') as felt,
        (count(*) filter (where r.clean = 'yes'))::int as clean, count(r.clean)::int as told,
        jsonb_agg(jsonb_build_object('what', r.what, 'rate', r.value)) filter (where r.what like 'pulse%') as pulses`),
    )
  return rows.flatMap(({ grades, scale, felt, clean, told, pulses }): OfLane[] => {
    const lane = laneOfClass(groups, grades)
    if (!lane) return []
    const counted = pulses?.map(({ what, rate }) => ({ when: whenOf[what] as keyof typeof pulseKinds, rate }))
    const says: CameBack = {
      ...(scale && felt !== null && { felt: { scale, value: felt } as CameBack['felt'] }),
      clean,
      told,
      easier: false,
      early: false,
      ...(counted && { pulses: counted }),
      typed: true,
    }
    return [{ lane: lane.id, told: says }]
  })
}

/** The classes that did a session, the one that did it last first. */
async function classesOf(
  db: Knex,
  { teacherId, sessionId }: Asked,
): Promise<Pick<CameBackTimes, 'classes' | 'others'>> {
  const { rows }: { rows: { id: string | null; name: string }[] } = await db.raw(
    `select c.id, c.name from (
       select ${runIs.class} as class_id, r.finished_at as at from ${runs}
         where p.workout_id = :sessionId and ${ownerSql('publications', 'p')} and ${runIs.standing}
       union all
       select u.class_id, r.at from ${typed}
         where p.workout_id = :sessionId and ${ownerSql('publications', 'p')} and ${typedIs}) did
     left join classes c on c.id = did.class_id and c.removed_at is null and ${ownerSql('classes', 'c')}
     group by c.id, c.name order by max(did.at) desc, c.id`,
    { teacherId, sessionId },
  )
  return {
    classes: rows.flatMap(({ id, name }) => (id ? [{ id, name }] : [])),
    others: rows.some(({ id }) => !id),
  }
}
