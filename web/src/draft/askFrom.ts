import type { LocationQuery, LocationQueryRaw } from 'vue-router'
import {
  buildsSchema,
  gradeSchema,
  newSession,
  spaceSchema,
  type Builds,
  type Group,
  type Home,
  type Session,
} from '@esfuerzo/core'
import type { SessionSummary } from '@esfuerzo/contract'
import { client } from '../shared/client.ts'
import { library } from '../repertoire/library.ts'

/** Defaults for the draft request: from the session it is for, otherwise from what was last sent home. */
export interface KnownBefore {
  aim: Builds
  minutes: number
  groups: Group[]
  home: Home
  /** The last two sessions sent home, the latest last. */
  recent: Session[]
}

const classes = [
  [0, 1],
  [2, 3],
  [4, 5, 6],
]

/** The last two sessions, in the form in which they were sent, the latest last. */
async function lastTwo(sessions: readonly SessionSummary[]): Promise<Session[]> {
  const sent = sessions
    .filter((w) => w.sentAt)
    .sort((a, b) => (a.sentAt! < b.sentAt! ? 1 : -1))
    .slice(0, 2)
  const documents = await Promise.all(
    sent.map(({ id }) => client('lastSent', { params: { id } }).catch(() => ({ document: null }))),
  )
  return documents.flatMap(({ document }) => (document ? [document] : [])).reverse()
}

/**
 * The known conditions.
 *
 * @param into the empty session the draft is for
 * @param gradeNames the school's names for its grades
 */
export async function knownBefore(
  into: Session | undefined,
  gradeNames: readonly string[] | undefined,
): Promise<KnownBefore> {
  const { workouts: sessions } = await client('listSessions', {})
  const recent = await lastTwo(sessions)
  const last = into ?? recent.at(-1)
  const base = newSession('Draft', classes, 20, library.version, gradeNames)
  return {
    aim: last?.aim.builds[0] ?? 'strength',
    minutes: Math.min(60, Math.max(5, last?.minutes ?? base.minutes)),
    groups: last?.groups ?? base.groups,
    home: last?.home ?? base.home,
    recent,
  }
}

/** Groups of these grades, in lane order. */
export const groupsOf = (grades: readonly (readonly number[])[], gradeNames: readonly string[] | undefined): Group[] =>
  newSession('Draft', grades, 20, library.version, gradeNames).groups

/** Grades as the address has them: "0-1.4-5-6". Undefined for an invalid address. */
function groupsFrom(text: string, gradeNames: readonly string[] | undefined): Group[] | undefined {
  try {
    return groupsOf(
      text.split('.').map((group) => group.split('-').map((grade) => gradeSchema.parse(Number(grade)))),
      gradeNames,
    )
  } catch {
    return undefined
  }
}

/** The conditions as an address keeps them: opening it again gives the same drafts. */
export const addressOf = ({ aim, minutes, groups, home }: KnownBefore, seed: number): LocationQueryRaw => ({
  seed,
  aim,
  minutes,
  space: home.space,
  kit: home.kit.join('.'),
  quiet: Number(home.quiet),
  alone: Number(home.company === 'alone'),
  grades: groups.map((g) => g.grades.join('-')).join('.'),
})

/**
 * The known conditions, overridden by those of an address; invalid ones are ignored.
 *
 * @param fixed the groups are a session's: the address has none
 */
export function withAddress(
  known: KnownBefore,
  query: LocationQuery,
  { gradeNames, fixed }: { gradeNames: readonly string[] | undefined; fixed: boolean },
): KnownBefore {
  const said = (name: string) => (typeof query[name] === 'string' ? query[name] : undefined)
  const minutes = Number(said('minutes'))
  const { aim, home, groups } = known
  const flag = (name: string, otherwise: boolean) => (said(name) ? said(name) === '1' : otherwise)
  return {
    ...known,
    aim: buildsSchema.catch(aim).parse(said('aim')),
    minutes: Number.isInteger(minutes) && minutes >= 5 && minutes <= 60 ? minutes : known.minutes,
    home: {
      ...home,
      space: spaceSchema.catch(home.space).parse(said('space')),
      quiet: flag('quiet', home.quiet),
      company: flag('alone', home.company === 'alone') ? 'alone' : 'together',
      kit:
        said('kit')
          ?.split('.')
          .filter((id) => library.kit.has(id)) ?? home.kit,
    },
    groups: (!fixed && said('grades') && groupsFrom(said('grades')!, gradeNames)) || groups,
  }
}
