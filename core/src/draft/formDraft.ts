import type { Band } from '../checks/limits.ts'
import type { Library } from '../library/library.ts'
import type { Block, Form } from '../session/forms.ts'
import type { Station } from '../session/station.ts'
import type { Move } from '../terms/move.ts'
import type { PerGroup } from '../terms/perGroup.ts'
import type { DraftAsk, Intent } from './ask.ts'

/** What a form makes its block of. */
export interface DraftPlace {
  id: string
  ask: DraftAsk
  /** The lowest band: one clock for all is its clock. */
  band: Band
  library: Library
  /** The moves, the skill first. */
  moves: readonly Move[]
  /** A row of a move in a form; `times` of its reps, and as it is built up lap by lap where that is asked. */
  row: (move: Move, form: Form, how?: { times?: number; laps?: number }) => Station
  /** What is called in a game. */
  calls: readonly string[]
  /** A number below n, always the same for the same draft. */
  below: (n: number) => number
  /** A number for everybody, another for the youngest where they end earlier. */
  young: <T>(all: T, young: T) => PerGroup<T>
}

/** How a form makes the main part of a draft, or its game. */
export interface FormDraft<B extends Block = Block> {
  /** Of drafts of which intent it may be the main part. */
  intents: readonly Intent[]
  /** It may be the game that ends a session. */
  game?: true
  /** It comes round: its skill is built up lap by lap. */
  laps?: true
  /** It takes two. */
  together?: true
  /** Half of it is rest or waiting: not for aims that ask for moving. */
  rests?: true
  /** The longest session it may be the main part of, in minutes, for the youngest and the others. */
  upTo?: readonly [young: number, others: number]
  /** The fewest and the most different moves it is made of. */
  moves: readonly [least: number, most: number]
  /** Whether a move can be done in it. */
  takes?: (move: Move) => boolean
  /** The block in its sizes, in any order: that which fits the minutes best is taken. */
  sizes: (place: DraftPlace) => B[]
}
