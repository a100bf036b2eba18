import type { Library } from '../library/library.ts'
import type { Block, Form } from '../session/forms.ts'
import type { Station } from '../session/station.ts'
import type { Move } from '../terms/move.ts'
import type { DraftAsk, DraftPart, Intent } from './ask.ts'
import type { Plan } from './plans.ts'

/** All that a draft is made of, before its size is found. */
export interface Parts {
  intent: Intent
  ask: DraftAsk
  library: Library
  plan: Plan
  main: readonly Move[]
  warmUp: readonly Move[]
  coolDown: readonly Move[]
  breath: Move
  /** The form of the game at the end, or a move that is one. */
  game: { form: Form } | { move: Move } | undefined
  second: Form | undefined
}

/** What a draft's size is made of. */
export interface Sizing {
  main: Block
  second?: Block | undefined
  game?: Block | undefined
}

/** One of a list by a number of any size. */
export const pick = <T>(list: readonly T[], n: number): T => list[n % list.length]!

/** Rows of a part she keeps, by their moves. */
export const heldRows = ({ ask, intent }: Pick<Parts, 'ask' | 'intent'>, part: DraftPart): Map<string, Station> =>
  new Map((ask.held?.[intent] ?? []).flatMap((r) => (r.part === part ? [[r.station.cells.all.move, r.station]] : [])))
