import type { Block, BlockOf, Form } from '../session/forms.ts'
import type { Lap } from '../forms/intervals/schema.ts'
import { limits } from '../base/limits.ts'
import { mapGroups, valueFor, type PerGroup, type Scope } from '../terms/perGroup.ts'

/** What of a block can be turned to make it shorter or longer. */
export type LeverKind = 'laps' | 'work' | 'rest' | 'roundRest' | 'cap' | 'talk' | 'game' | 'draws'

/** One thing that can be turned by whole steps, for all groups or for one. */
export interface Lever {
  kind: LeverKind
  /** What one step costs, before the section's factor: how much a teacher minds; laps cost more by their minutes. Ours. */
  cost: number
  /** Turned for the whole block or not at all: no group has a value of its own. */
  whole?: true
  /** How many steps it may be turned to lengthen; left out, as far as its bounds. */
  longer?: number
  /** What it stands at for a group: a count or seconds. */
  read(block: Block, groupId: string): number
  /** The block with it turned for some groups; undefined where it does not go that far for one of them. */
  turn(block: Block, scope: Scope, steps: number): Block | undefined
  /** The block with what it stands at for a group taken from another state of the block. */
  copy(block: Block, groupId: string, from: Block): Block
}

/** The bounds of a number on a lever, and the size of its step. */
interface Bounds {
  step: number
  least: number
  most: number
}

/** Whole steps that stay between the bounds; a number that is outside already may only come nearer. */
function turned(n: number, steps: number, { step, least, most }: Bounds): number | undefined {
  const to = n + steps * step
  if (steps < 0 && to < least) return undefined
  if (steps > 0 && to > most) return undefined
  return to
}

/** A lever over a field that may differ by group. */
function fieldLever<F extends Form, V>(
  kind: LeverKind,
  cost: number,
  get: (block: BlockOf<F>) => PerGroup<V> | undefined,
  put: (block: BlockOf<F>, value: PerGroup<V>) => BlockOf<F>,
  read: (value: V) => number,
  shift: (value: V, steps: number) => V | undefined,
): Lever {
  return {
    kind,
    cost,
    ...(kind === 'laps' && { longer: moreLaps }),
    read: (block, groupId) => {
      const value = get(block as BlockOf<F>)
      return value ? read(valueFor(value, groupId)) : 0
    },
    turn(block, scope, steps) {
      const value = get(block as BlockOf<F>)
      if (!value) return undefined
      let far = false
      const next = mapGroups(value, scope, (now) => {
        const to = shift(now, steps)
        if (to === undefined) far = true
        return to ?? now
      })
      return far ? undefined : put(block as BlockOf<F>, next)
    },
    copy(block, groupId, from) {
      const value = get(block as BlockOf<F>)
      const other = get(from as BlockOf<F>)
      if (!value || !other) return block
      return put(
        block as BlockOf<F>,
        mapGroups(value, [groupId], () => valueFor(other, groupId)),
      )
    },
  }
}

/** A lever over a plain number that may differ by group. */
const numberLever = <F extends Form>(
  kind: LeverKind,
  cost: number,
  get: (block: BlockOf<F>) => PerGroup<number> | undefined,
  put: (block: BlockOf<F>, value: PerGroup<number>) => BlockOf<F>,
  bounds: Bounds,
) =>
  fieldLever<F, number>(
    kind,
    cost,
    get,
    put,
    (n) => n,
    (n, steps) => turned(n, steps, bounds),
  )

// What a step of each costs: rest 5 s 1 (between rounds, by 15 s, 3), work 5 s 2, a lap or round 2 and 1 more for each started
// minute of it, a minute of a cap or game 3, 15 s of talk 2, a draw 2. Ours.
const costs: Record<LeverKind, number> = { laps: 2, work: 2, rest: 1, roundRest: 3, cap: 3, talk: 2, game: 3, draws: 2 }
const rounds: Bounds = { step: 1, least: 1, most: limits.laps }
const rests: Bounds = { step: 5, least: 0, most: 60 }
const roundRests: Bounds = { step: 15, least: 0, most: 120 }
/** Less than a quarter of a minute is over before a child has got into it. Ours. */
const works: Bounds = { step: 5, least: 15, most: 60 }
/** A session is not filled with more than so many laps, rounds or sets besides. Ours. */
const moreLaps = 3
/** Nor with higher rungs than this, which few children do well at home. Ours. */
const highestRung = 20
const minutes: Bounds = { step: 60, least: 60, most: 20 * 60 }
/** A cap of a minute is no "as many as you can" any more. */
const caps: Bounds = { ...minutes, least: 120 }

const laps = fieldLever<'intervals', Lap[]>(
  'laps',
  costs.laps,
  (b) => b.laps,
  (b, value) => ({ ...b, laps: value }),
  (list) => list.length,
  (list, steps) => {
    const n = turned(list.length, steps, rounds)
    if (n === undefined) return undefined
    return n <= list.length ? list.slice(0, n) : [...list, ...Array<Lap>(n - list.length).fill(list.at(-1)!)]
  },
)

/** Turns one of the two seconds of every lap. */
const everyLap = (kind: 'work' | 'rest', bounds: Bounds) =>
  fieldLever<'intervals', Lap[]>(
    kind,
    costs[kind],
    (b) => b.laps,
    (b, value) => ({ ...b, laps: value }),
    (list) => list[0]?.[kind] ?? 0,
    (list, steps) => {
      const next = list.map((lap) => ({ ...lap, [kind]: turned(lap[kind], steps, bounds) }))
      return next.every((lap) => lap[kind] !== undefined) ? (next as Lap[]) : undefined
    },
  )

type Rested = 'restBetween' | 'restStations' | 'restAfter' | 'lapRest'
/** A rest of a form, in a field of that name. */
const restLever = <F extends Form>(kind: 'rest' | 'roundRest', field: Rested) =>
  numberLever<F>(
    kind,
    costs[kind],
    (b) => (b as unknown as Record<Rested, PerGroup<number> | undefined>)[field],
    (b, value) => ({ ...b, [field]: value }),
    kind === 'rest' ? rests : roundRests,
  )

const cap = <F extends 'amrap' | 'rounds'>() =>
  numberLever<F>(
    'cap',
    costs.cap,
    (b) => (b as { cap?: PerGroup<number> }).cap,
    (b, value) => ({ ...b, cap: value }),
    caps,
  )

type Stop = BlockOf<'chance'>['stop']

/** How long chance goes on, the same for all groups: a lever over what its stop counts. */
const stopLever = (
  kind: 'cap' | 'draws',
  bounds: Bounds,
  read: (stop: Stop) => number,
  stop: (n: number) => Stop,
): Lever => ({
  kind,
  cost: costs[kind],
  whole: true,
  copy: (block) => block,
  read: (block) => read((block as BlockOf<'chance'>).stop),
  turn(block, _scope, steps) {
    const to = turned(read((block as BlockOf<'chance'>).stop), steps, bounds)
    return to === undefined ? undefined : { ...(block as BlockOf<'chance'>), stop: stop(to) }
  },
})
const drawsLever = stopLever(
  'draws',
  { step: 1, least: 2, most: limits.stations },
  (stop) => (stop.kind === 'draws' ? stop.draws : 0),
  (draws) => ({ kind: 'draws', draws }),
)
const timeLever = stopLever(
  'cap',
  minutes,
  (stop) => (stop.kind === 'seconds' ? stop.seconds : 0),
  (seconds) => ({ kind: 'seconds', seconds }),
)
/** By what a chance block stops; a sheet to be cleared is as long as it is. */
const chanceLevers: Record<Stop['kind'], readonly Lever[]> = { draws: [drawsLever], seconds: [timeLever], cleared: [] }

/** How high a ladder goes, rung by rung; one that begins at its top is left alone. */
const ladderTop = ({ from, by }: BlockOf<'ladder'>) =>
  numberLever<'ladder'>(
    'laps',
    costs.laps,
    (b) => b.to,
    (b, to) => ({ ...b, to }),
    { step: by, least: Math.max(from.all, ...Object.values(from.by ?? {})), most: highestRung },
  )
const ladderRest = restLever<'ladder'>('roundRest', 'restBetween')

const levers: { [F in Form]?: Lever[] } = {
  talk: [
    numberLever<'talk'>(
      'talk',
      costs.talk,
      (b) => b.seconds,
      (b, seconds) => ({ ...b, seconds }),
      // Only shorter: more talk is nobody's way to fill a session.
      { step: 15, least: 15, most: 0 },
    ),
  ],
  list: [restLever<'list'>('rest', 'restAfter')],
  intervals: [laps, everyLap('work', works), everyLap('rest', rests), restLever<'intervals'>('roundRest', 'lapRest')],
  rounds: [
    numberLever<'rounds'>(
      'laps',
      costs.laps,
      (b) => b.rounds,
      (b, value) => ({ ...b, rounds: value }),
      rounds,
    ),
    restLever<'rounds'>('rest', 'restStations'),
    restLever<'rounds'>('roundRest', 'restBetween'),
    cap<'rounds'>(),
  ],
  sets: [
    numberLever<'sets'>(
      'laps',
      costs.laps,
      (b) => b.sets,
      (b, sets) => ({ ...b, sets }),
      rounds,
    ),
    restLever<'sets'>('rest', 'restBetween'),
    restLever<'sets'>('roundRest', 'restStations'),
  ],
  amrap: [cap<'amrap'>()],
  calls: [
    numberLever<'calls'>(
      'cap',
      costs.cap,
      (b) => b.seconds,
      (b, seconds) => ({ ...b, seconds }),
      minutes,
    ),
  ],
  levels: [
    numberLever<'levels'>(
      'work',
      costs.work,
      (b) => b.seconds,
      (b, seconds) => ({ ...b, seconds }),
      works,
    ),
  ],
  target: [
    numberLever<'target'>(
      'laps',
      costs.laps,
      (b) => b.rounds,
      (b, value) => ({ ...b, rounds: value }),
      rounds,
    ),
  ],
  game: [
    numberLever<'game'>(
      'game',
      costs.game,
      (b) => b.seconds,
      (b, seconds) => ({ ...b, seconds }),
      minutes,
    ),
  ],
}

const none: readonly Lever[] = []

/** The levers of a block; none for forms whose length nobody sets. */
export function leversOf(block: Block): readonly Lever[] {
  if (block.form === 'ladder') return [ladderTop(block), ladderRest]
  if (block.form === 'chance') return chanceLevers[block.stop.kind]
  return levers[block.form] ?? none
}

/** What leaving out a station that may be left out costs. Ours. */
export const stationOutCost = 6
/** What a change for one group only costs besides. Ours. */
export const ownCost = 2
