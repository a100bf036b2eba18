import { longestInWork } from '../checks/muscleWork.ts'
import { checkView } from '../checks/view.ts'
import { libraryFor } from '../library/carryMoves.ts'
import type { Library } from '../library/library.ts'
import type { PickCandidate, PickProblem } from '../pick/pickProblem.ts'
import { shortlist } from '../pick/shortlist.ts'
import { solvePicks } from '../pick/solvePicks.ts'
import { stationsOf } from '../session/forms.ts'
import type { Role, Session } from '../session/schema.ts'
import type { Family, Move } from '../terms/move.ts'
import {
  beginsCalm,
  covers,
  coversOf,
  doesFor,
  endsWith,
  fitsAll,
  isMain,
  loosens,
  raisesPulse,
  thingsOf,
} from './candidates.ts'

/** For which place moves are suggested: a warm-up for what follows, a cool-down for what was done, or work. */
export const suggestFor = ['work', 'warmUp', 'coolDown'] as const
export type SuggestFor = (typeof suggestFor)[number]

/** Why a move is suggested, as data: the gravest first. */
export type Reason =
  | { code: 'firstLegs' | 'firstCore' | 'firstPush' | 'firstPull' }
  | { code: 'aim' }
  | { code: 'pulse' | 'loosens' }
  | { code: 'warms' | 'stretches'; muscle: string }
  | { code: 'undoes'; move: string }
  | { code: 'otherFamily' }
  | { code: 'known' }

export interface Suggestion {
  move: string
  reasons: Reason[]
}

/** What is known besides the session. */
export interface SuggestContext {
  /** Families of the last two sessions' work. */
  lately: ReadonlySet<Family>
  /** Ids of moves her classes were sent before. */
  known: ReadonlySet<string>
}

/** What is asked for a place, and why each candidate would be picked. */
export interface SuggestProblem {
  problem: PickProblem
  reasons: Readonly<Record<string, Reason[]>>
}

const firstOf = { legs: 'firstLegs', core: 'firstCore', push: 'firstPush', pull: 'firstPull' } as const
const workRoles: readonly Role[] = ['main', 'skill', 'game', 'challenge']

/** The place a section's role is. @example placeOfRole('coolDown') // 'coolDown' */
export const placeOfRole = (role: Role): SuggestFor => (role === 'warmUp' || role === 'coolDown' ? role : 'work')

/** Moves of the sections of some roles, each once. */
function movesIn({ sections }: Session, roles: readonly Role[], library: Library): Move[] {
  const ids = new Set(
    sections
      .filter((s) => roles.includes(s.role))
      .flatMap((s) => s.blocks)
      .flatMap(stationsOf)
      .flatMap(({ cells }) => [cells.all, ...Object.values(cells.by ?? {})].map((c) => c.move)),
  )
  return [...ids].flatMap((id) => library.moves.get(id) ?? [])
}

/** Muscles the session's work is for, the longest worked first. */
function workedMuscles(session: Session, ours: Library): string[] {
  const worked = longestInWork(checkView(session, ours)).map(([id]) => id)
  if (worked.length) return worked
  // So little that no muscle counts as worked yet: then what it would be for.
  return [...new Set(movesIn(session, workRoles, libraryFor(session, ours)).flatMap((m) => m.muscles.main))]
}

/** How much a muscle that is to be warmed or stretched is worth: the longest worked first. */
const muscleWorth = [60, 45, 30, 15]

/**
 * So many moves for a place in a session, as a problem of picking, with why each would be picked: what the aim asks for, what nothing
 * does yet, what was not done lately; for a warm-up what moves the muscles that follow, for a cool-down what stretches those that worked.
 * Every candidate can be done in this home by every group, and is not in the session.
 *
 * @throws {ProblemError} `unknown-move` or `unknown-version`
 * @example suggestProblem(session, 'coolDown', 3, context, library).problem.count // 3
 */
export function suggestProblem(
  session: Session,
  place: SuggestFor,
  count: number,
  context: SuggestContext,
  ours: Library,
): SuggestProblem {
  const library = libraryFor(session, ours)
  const here = new Set(movesIn(session, ['warmUp', ...workRoles, 'coolDown', 'test'], library).map((m) => m.id))
  const able = [...library.moves.values()].filter(
    (move) => !here.has(move.id) && fitsAll(move, session.groups, session.home, library),
  )
  const found =
    place === 'work'
      ? forWork(able, session, context, library)
      : aroundWork(able, place, session, context, library, ours)
  const reasons = Object.fromEntries(found.scored.map(({ id, reasons: why }) => [id, why]))
  const candidates = shortlist(
    found.scored.map(({ id, score, labels }) => ({ id, score, labels })),
    [],
    Object.keys(found.worth).filter((label) => !label.startsWith('family ')),
  )
  const { worth, least } = found
  return { problem: { count: Math.min(count, candidates.length), candidates, worth, ...(least && { least }) }, reasons }
}

interface Found {
  scored: (PickCandidate & { reasons: Reason[] })[]
  worth: Record<string, number>
  least?: Record<string, number>
}

const isKnownTo = (move: Move, { known }: SuggestContext): boolean => known.has(move.id)

function forWork(able: readonly Move[], session: Session, context: SuggestContext, library: Library): Found {
  const { builds, muscle } = session.aim
  const there = movesIn(session, workRoles, library)
  const covered = new Set(there.flatMap((m) => coversOf(m, library)))
  const open = covers.filter((c) => !covered.has(c))
  const families = new Set([...context.lately, ...there.map((m) => m.family)])
  const isAim = (move: Move) =>
    builds.some((b) => doesFor(move, b)) || (muscle !== undefined && move.muscles.main.includes(muscle))
  const scored = able
    .filter((move) => isMain(move, builds[0] ?? 'strength'))
    .map((move) => {
      const own = coversOf(move, library).filter((c) => open.includes(c))
      const reasons: Reason[] = [
        ...own.map((c): Reason => ({ code: firstOf[c] })),
        ...(isAim(move) ? [{ code: 'aim' } as const] : []),
        ...(families.has(move.family) ? [] : [{ code: 'otherFamily' } as const]),
        ...(isKnownTo(move, context) ? [{ code: 'known' } as const] : []),
      ]
      const score =
        (isAim(move) ? 30 : 0) +
        (families.has(move.family) ? 0 : 10) +
        (isKnownTo(move, context) ? 8 : 0) -
        6 * thingsOf(move, session, library).length
      return { id: move.id, score, labels: [...coversOf(move, library), `family ${move.family}`], reasons }
    })
  return { scored, worth: { ...Object.fromEntries(open.map((c) => [c, 25])), ...familyWorth(scored) } }
}

/** Different families are worth a little. */
const familyWorth = (scored: readonly PickCandidate[]): Record<string, number> =>
  Object.fromEntries(scored.flatMap(({ labels }) => labels.filter((l) => l.startsWith('family ')).map((l) => [l, 6])))

function aroundWork(
  able: readonly Move[],
  place: 'warmUp' | 'coolDown',
  session: Session,
  context: SuggestContext,
  library: Library,
  ours: Library,
): Found {
  const worked = workedMuscles(session, ours).slice(0, muscleWorth.length)
  const there = movesIn(session, [place], library)
  const done = new Set(
    there.flatMap((m) => (place === 'warmUp' ? [...m.muscles.main, ...m.muscles.also] : (m.stretches ?? []))),
  )
  const open = worked.filter((id) => !done.has(id))
  const shapes = movesIn(session, workRoles, library)
  const cool = place === 'coolDown'
  const scored = able
    .filter((m) => (cool ? endsWith(m) : (raisesPulse(m) || loosens(m)) && beginsCalm(m, session, library)))
    .map((move) => {
      const muscles = cool
        ? (move.stretches ?? [])
        : [...move.muscles.main, ...move.muscles.also, ...(move.stretches ?? [])]
      const first = open.find((id) => muscles.includes(id))
      const undone = cool ? shapes.find(({ counters }) => counters?.includes(move.id)) : undefined
      const pulse = !cool && raisesPulse(move)
      const reasons: Reason[] = [
        ...(undone ? [{ code: 'undoes', move: undone.name } as const] : []),
        ...(first
          ? [{ code: cool ? 'stretches' : 'warms', muscle: library.muscles.get(first)?.name ?? first } as const]
          : []),
        ...(cool ? [] : [{ code: pulse ? ('pulse' as const) : ('loosens' as const) }]),
        ...(isKnownTo(move, context) ? [{ code: 'known' } as const] : []),
      ]
      const score = (undone ? 40 : 0) + (isKnownTo(move, context) ? 8 : 0) - 8 * thingsOf(move, session, library).length
      const labels = [...muscles.map((id) => `muscle ${id}`), ...(cool ? [] : [pulse ? 'pulse' : 'loose'])]
      return { id: move.id, score, labels, reasons }
    })
  const worth = Object.fromEntries(open.map((id, i) => [`muscle ${id}`, muscleWorth[i]!]))
  if (cool) return { scored, worth }
  const hasPulse = there.some(raisesPulse)
  const canPulse = scored.some((s) => s.labels.includes('pulse'))
  return { scored, worth: { ...worth, loose: 10 }, ...(!hasPulse && canPulse && { least: { pulse: 1 } }) }
}

/**
 * The candidates as they come first for the place, each with its reasons: what is offered before anything is typed.
 *
 * @example offered(suggestProblem(session, 'work', 1, context, library), 6)[0] // { move: 'bag-row', reasons: [{ code: 'firstPull' }, …] }
 */
export function offered({ problem: { candidates, worth = {} }, reasons }: SuggestProblem, most: number): Suggestion[] {
  const value = ({ score, labels }: PickCandidate) => labels.reduce((sum, label) => sum + (worth[label] ?? 0), score)
  return [...candidates]
    .sort((a, b) => value(b) - value(a))
    .slice(0, most)
    .map(({ id }) => ({ move: id, reasons: (reasons[id] ?? []).slice(0, 2) }))
}

/**
 * The best so many together, each with its reasons, in the order in which they are done: what raises the pulse first.
 *
 * @returns none where nothing keeps to what is asked
 * @example suggested(suggestProblem(session, 'warmUp', 2, context, library))[0].reasons // [{ code: 'pulse' }]
 */
export function suggested({ problem, reasons }: SuggestProblem): Suggestion[] {
  const ids = problem.count ? (solvePicks(problem)?.ids ?? []) : []
  const pulse = (id: string) => problem.candidates.find((c) => c.id === id)?.labels.includes('pulse') === true
  return [...ids]
    .sort((a, b) => Number(pulse(b)) - Number(pulse(a)))
    .map((id) => ({ move: id, reasons: (reasons[id] ?? []).slice(0, 2) }))
}
