import type { Lane, Publication } from '../publication/schema.ts'
import type { Language } from '../terms/language.ts'
import type { Play, PlayedTurn } from '../publication/playSchema.ts'
import type { SheetBlock } from './sheetBlock.ts'

/** A lane's steps of one block. */
export type SheetSteps = Lane['steps']

/** What a form's lines are made of, besides its steps. */
export interface LinesOf {
  publication: Pick<Publication, 'measures'>
  /** A text of the library in the sheet's language. */
  phrase: (text: string) => string
  language: Language
}

/** A form's own lines on paper, from what is played of it. */
export interface FormSheet<P extends Play> {
  /** Rows that are drawn or chosen: they occur in no step, or not in every one. */
  turns?: (play: P) => readonly PlayedTurn[]
  /** A draw or a round is not a lap: each row appears once, however often it comes. */
  once?: boolean
  /** Whether a row's number comes from elsewhere: a card, a rung. */
  noDose?: (play: P) => boolean
  /** The rungs already say how often: the list is not repeated. */
  goneThroughOnce?: boolean
  /** Text about the block itself. */
  block?: (play: P) => Partial<SheetBlock>
  /**
   * Its lines.
   *
   * @param said what is said at a step
   */
  lines?: (play: P, steps: SheetSteps, said: (step: SheetSteps[number]) => string, linesOf: LinesOf) => string[]
  /** What is recorded for the block as a whole, and in how many boxes. */
  record?: { kind: 'rounds' | 'level' | 'points'; boxes: (steps: SheetSteps) => number }
  /** How often something is measured. */
  trials?: (play: P) => number
}
