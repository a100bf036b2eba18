import { musclesOf } from '../choose/filterMoves.ts'
import type { Library } from '../library/library.ts'
import type { PickCandidate, PickProblem } from '../pick/pickProblem.ts'
import { shortlist } from '../pick/shortlist.ts'
import { strengthPart } from '../terms/strengthPart.ts'
import type { Move } from '../terms/move.ts'
import { roomOf, type DraftAsk, type DraftPart, type Intent } from './ask.ts'
import {
  beginsCalm,
  coversOf,
  doesFor,
  endsWith,
  fitsAll,
  loosens,
  raisesPulse,
  thingsOf,
} from '../suggest/candidates.ts'
import { luckOf } from './luck.ts'
import { buildsUp, comesBack, mainMoves, type Plan } from './plans.ts'
import { longerWarmUp, workedIn } from './recent.ts'

/** What a part may leave out where nothing keeps to everything, the smallest first. */
export const leniences = ['bothArms', 'back', 'fresh', 'cover'] as const
export type Lenience = (typeof leniences)[number]

/** What picking a part goes by. */
export interface PickContext {
  intent: Intent
  ask: DraftAsk
  library: Library
  plan: Plan
  /** Moves that may not be picked, by part. */
  forbidden: ReadonlySet<string>
  lenient: ReadonlySet<Lenience>
}

export const forbiddenKey = (part: DraftPart, move: string): string => `${part} ${move}`

const heldIn = ({ ask, intent }: PickContext, part: DraftPart): string[] =>
  (ask.held?.[intent] ?? []).flatMap((row) => (row.part === part ? [row.station.cells.all.move] : []))

/** Where nothing has been sent yet nothing is new. */
export const isNewTo = (move: Move, { known }: Pick<DraftAsk, 'known'>): boolean =>
  known.size > 0 && !known.has(move.id)

/** Upper muscles the last session worked: this one works the others. */
export function armsByTurns({ recent }: DraftAsk, library: Library): 'push' | 'pull' {
  const last = recent.at(-1)
  const worked = last ? [...workedIn(last)].flatMap((id) => library.moves.get(id) ?? []) : []
  const count = (arm: 'push' | 'pull') => worked.filter((m) => coversOf(m, library).includes(arm)).length
  return count('push') > count('pull') ? 'pull' : 'push'
}

/** Suppleness asks for so many different stretches in a session. */
const wantedStretches = 3

/** The moves of the main part: the skill, and what covers the rest of the body. */
export function mainProblem(context: PickContext): PickProblem {
  const { intent, ask, library, plan, forbidden, lenient } = context
  const room = roomOf(ask)
  const luck = luckOf(ask.seed, intent)
  const forced = [...new Set([plan.skill.id, ...heldIn(context, 'main')])]
  const lately = ask.recent.map(workedIn)
  const families = new Set([...lately.flatMap((ids) => [...ids])].flatMap((id) => library.moves.get(id)?.family ?? []))
  const pool = mainMoves(plan.form, ask, library)
  const scored = pool
    .filter((m) => forced.includes(m.id) || !forbidden.has(forbiddenKey('main', m.id)))
    .map((move): PickCandidate => {
      const back = comesBack(move, plan.form, ask, library, buildsUp(move, plan))
      const things = thingsOf(move, ask, library)
      const labels = [
        ...coversOf(move, library),
        ...musclesOf(move).map((id) => `muscle ${id}`),
        `family ${move.family}`,
        ...(coversOf(move, library).some((c) => c === 'push' || c === 'pull') ? ['arms'] : []),
        ...(doesFor(move, ask.aim) ? ['aim'] : []),
        ...(strengthPart[move.family] ? [`part ${strengthPart[move.family]}`] : []),
        ...(move.stretches ? ['stretch'] : []),
        ...(back ? ['back'] : []),
        ...(isNewTo(move, ask) ? ['new'] : []),
        ...(move.posture === 'handsAndFeet' ? ['hands'] : []),
        ...(things.length ? ['thing'] : []),
      ]
      const score =
        (doesFor(move, ask.aim) ? 30 : 0) +
        (families.has(move.family) ? 0 : 10) -
        (lately.at(-1)?.has(move.id) && !back ? 25 : 0) -
        (isNewTo(move, ask) ? 12 : 0) -
        6 * things.length +
        luck(`main ${move.id}`, 40)
      return { id: move.id, score, labels }
    })
  const some = (label: string) => scored.some((c) => c.labels.includes(label))
  const arm = armsByTurns(ask, library)
  const both = ask.minutes >= 15 && room.main > 3 && !lenient.has('bothArms') && some('push') && some('pull')
  const cover = lenient.has('cover')
    ? {}
    : { legs: 1, core: 1, ...(both ? { push: 1, pull: 1 } : { [some(arm) ? arm : 'arms']: 1 }) }
  const least = {
    ...cover,
    // The skill is one of them.
    aim: Math.max(1, room.main - 3),
    ...(ask.aim === 'flexibility' && { stretch: Math.max(1, wantedStretches - room.stretches) }),
    // With three moves for the whole body it may be what wakes them that comes back.
    ...(ask.recent.length && room.main > 3 && !lenient.has('back') && some('back') ? { back: 1 } : {}),
  }
  const own = new Set(pool.map((m) => m.family))
  const perFamily = Object.fromEntries([...own].map((f) => [`family ${f}`, ask.aim === 'flexibility' ? room.main : 2]))
  const candidates = shortlist(scored, forced, [...new Set([...Object.keys(least), 'back'])])
  return {
    count: Math.max(room.main, forced.length),
    candidates,
    forced: forced.filter((id) => candidates.some((c) => c.id === id)),
    worth: {
      ...Object.fromEntries([...library.muscles.keys()].map((id) => [`muscle ${id}`, 5])),
      push: 15,
      pull: 15,
      back: 60,
    },
    least,
    most: {
      ...perFamily,
      // Strength is for the whole body.
      ...(ask.aim === 'strength' &&
        Object.fromEntries(
          Object.values(strengthPart).map((part) => [`part ${part}`, Math.max(1, Math.floor(room.main / 2))]),
        )),
      ...(ask.aim === 'power' && { 'family jump': Math.max(1, room.main - 3) }),
      hands: 2,
      thing: room.band === 0 ? 1 : 2,
      new: lenient.has('fresh') ? room.main : Math.min(room.fresh, Math.floor(room.moves / 2)),
    },
  }
}

/** Muscles with how much of the main part they are for, the most first; the skill comes twice as often as the others. */
export function workedBy(moves: readonly Move[], skill: Move): [string, number][] {
  const worked = new Map<string, number>()
  for (const move of moves)
    for (const id of move.muscles.main) worked.set(id, (worked.get(id) ?? 0) + (move === skill ? 2 : 1))
  return [...worked].sort((a, b) => b[1] - a[1])
}

/** Things a move asks for that no other asks for yet. */
const thingsBesides = (move: Move, others: readonly Move[], { ask, library }: PickContext): number => {
  const there = new Set(others.flatMap((o) => thingsOf(o, ask, library)))
  return thingsOf(move, ask, library).filter((id) => !there.has(id)).length
}

const warms = ({ muscles, stretches = [] }: Move): string[] => [...muscles.main, ...muscles.also, ...stretches]

/** What comes before the main part besides the skill: what raises the pulse, what loosens. */
export function warmUpProblem(context: PickContext, main: readonly Move[]): PickProblem {
  const { intent, ask, library, plan, forbidden, lenient } = context
  const room = roomOf(ask)
  const luck = luckOf(ask.seed, intent)
  const forced = heldIn(context, 'warmUp').filter((id) => id !== plan.skill.id)
  const used = new Set(main.map((m) => m.id))
  const worked = workedBy(main, plan.skill).slice(0, 3)
  const back = main.some((move) => comesBack(move, plan.form, ask, library, buildsUp(move, plan)))
  // Any muscle that is going to work, where it cannot be the most.
  const asked = new Set(main.flatMap((m) => m.muscles.main))
  const scored = [...library.moves.values()].flatMap((move): PickCandidate[] => {
    const pulse = raisesPulse(move)
    if (forced.includes(move.id)) return [{ id: move.id, score: 0, labels: [pulse ? 'pulse' : 'loose'] }]
    if (!(pulse || loosens(move)) || used.has(move.id) || forbidden.has(forbiddenKey('warmUp', move.id))) return []
    if (!fitsAll(move, ask.groups, ask.home, library) || !beginsCalm(move, ask, library)) return []
    if (isNewTo(move, ask) && !lenient.has('fresh')) return []
    const moved = warms(move)
    const labels = [
      ...moved.map((id) => `warms ${id}`),
      pulse ? 'pulse' : 'loose',
      ...(moved.some((id) => asked.has(id)) ? ['warms some'] : []),
      ...(pulse && ask.groups.some((g) => longerWarmUp(move, g, ask, library)) ? ['back'] : []),
    ]
    return [{ id: move.id, score: luck(`warm ${move.id}`, 30) - 15 * thingsBesides(move, main, context), labels }]
  })
  const least = { pulse: 1 }
  return {
    count: Math.max(room.warmUp, forced.length),
    candidates: shortlist(scored, forced, ['pulse', 'back', ...worked.map(([id]) => `warms ${id}`)]),
    forced,
    worth: {
      'warms some': 60,
      ...(back ? {} : { back: 50 }),
      ...Object.fromEntries(worked.map(([id, n]) => [`warms ${id}`, 10 * n])),
    },
    least,
    most: room.warmUp > 1 && forced.length === 0 ? { loose: 1 } : {},
  }
}

/** What a stretch at the end is worth by how long its muscle worked: the longest first. */
const stretchWorth = [60, 50, 30]

/**
 * Stretches for the end: of what worked longest.
 *
 * @param worked muscles, the longest worked first
 */
export function coolDownProblem(context: PickContext, main: readonly Move[], worked: readonly string[]): PickProblem {
  const { intent, ask, library, forbidden, lenient } = context
  const room = roomOf(ask)
  const luck = luckOf(ask.seed, intent)
  const forced = heldIn(context, 'coolDown')
  const used = new Set(main.map((m) => m.id))
  const scored = [...library.moves.values()].flatMap((move): PickCandidate[] => {
    if (forced.includes(move.id))
      return [{ id: move.id, score: 0, labels: (move.stretches ?? []).map((id) => `long ${id}`) }]
    if (!endsWith(move) || used.has(move.id) || forbidden.has(forbiddenKey('coolDown', move.id))) return []
    if (!fitsAll(move, ask.groups, ask.home, library)) return []
    if (isNewTo(move, ask) && !lenient.has('fresh')) return []
    const labels = move.stretches!.map((id) => `long ${id}`)
    // What undoes a shape that was held comes before any other.
    const undoes = main.some(({ counters }) => counters?.includes(move.id)) ? 50 : 0
    return [
      { id: move.id, score: undoes + luck(`cool ${move.id}`, 15) - 15 * thingsBesides(move, main, context), labels },
    ]
  })
  const worth = Object.fromEntries(worked.map((id, i) => [`long ${id}`, stretchWorth[i] ?? 5]))
  return {
    count: Math.max(room.stretches, forced.length),
    candidates: shortlist(
      scored,
      forced,
      worked.slice(0, stretchWorth.length).map((id) => `long ${id}`),
    ),
    forced,
    worth,
  }
}
