import { limits } from '../base/limits.ts'
import type { Block, BlockOf, Form } from '../session/forms.ts'
import { mapGroups, valueFor, type PerGroup, type Scope } from '../terms/perGroup.ts'

/** The parts of a block that can be turned to make it shorter or longer. */
export type LeverKind = 'laps' | 'work' | 'rest' | 'roundRest' | 'cap' | 'talk' | 'game' | 'draws'

/** One thing that can be turned in whole steps, for all groups or for one. */
export interface Lever {
  kind: LeverKind
  /** Cost of one step before the section's factor: how much a teacher minds; laps cost more by their minutes. Ours. */
  cost: number
  /** Turned for the whole block only: no group has a value of its own. */
  whole?: true
  /** Most steps to lengthen; by default as far as its limits. */
  longer?: number
  /** Its value for a group: a count or seconds. */
  read(block: Block, groupId: string): number
  /** The block after turning it for some groups; undefined if one can't go that far. */
  turn(block: Block, scope: Scope, steps: number): Block | undefined
  /** The block with this lever's value for a group taken from another state of the block. */
  copy(block: Block, groupId: string, from: Block): Block
}

/** The bounds of a number on a lever, and its step size. */
export interface Bounds {
  step: number
  least: number
  most: number
}

/** Whole steps within the bounds; a number already outside may only come nearer. */
export function turned(n: number, steps: number, { step, least, most }: Bounds): number | undefined {
  const to = n + steps * step
  if (steps < 0 && to < least) return undefined
  if (steps > 0 && to > most) return undefined
  return to
}

/** A lever for a field that may differ by group. */
export function fieldLever<F extends Form, V>(
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

/** A lever for a plain number that may differ by group. */
export const numberLever = <F extends Form>(
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

// The cost of one step: rest 5 s 1 (between rounds, 15 s each, 3), work 5 s 2, a lap or round 2 plus 1 per started minute of it, a minute
// of a cap or game 3, 15 s of talk 2, a draw 2. Ours.
export const costs: Record<LeverKind, number> = {
  laps: 2,
  work: 2,
  rest: 1,
  roundRest: 3,
  cap: 3,
  talk: 2,
  game: 3,
  draws: 2,
}
export const rounds: Bounds = { step: 1, least: 1, most: limits.laps }
export const rests: Bounds = { step: 5, least: 0, most: 60 }
export const roundRests: Bounds = { step: 15, least: 0, most: 120 }
/** Less than a quarter of a minute is over before a child gets going. Ours. */
export const works: Bounds = { step: 5, least: 15, most: 60 }
/** Most laps, rounds or sets added to fill a session. Ours. */
const moreLaps = 3
export const minutes: Bounds = { step: 60, least: 60, most: 20 * 60 }
/** With a cap of one minute it is no longer "as many as you can". */
const caps: Bounds = { ...minutes, least: 120 }

type Rested = 'restBetween' | 'restStations' | 'restAfter' | 'lapRest'
/** A rest of a form, in a field of that name. */
export const restLever = <F extends Form>(kind: 'rest' | 'roundRest', field: Rested) =>
  numberLever<F>(
    kind,
    costs[kind],
    (b) => (b as unknown as Record<Rested, PerGroup<number> | undefined>)[field],
    (b, value) => ({ ...b, [field]: value }),
    kind === 'rest' ? rests : roundRests,
  )

/** The longest time of a form. */
export const capLever = <F extends 'amrap' | 'rounds'>() =>
  numberLever<F>(
    'cap',
    costs.cap,
    (b) => (b as { cap?: PerGroup<number> }).cap,
    (b, value) => ({ ...b, cap: value }),
    caps,
  )

/** The levers of a block of a form, the easiest to explain first. */
export type LeversFor<B extends Block> = (block: B) => readonly Lever[]
