import type { Lane, Publication } from '../publication/schema.ts'
import type { Language } from '../terms/language.ts'
import type { Play, PlayedTurn } from '../publication/playSchema.ts'
import type { SheetBlock } from './sheetBlock.ts'

/** A lane's steps of one block. */
export type SheetSteps = Lane['steps']

/** What else a form's lines are made of. */
export interface LinesOf {
  publication: Pick<Publication, 'measures'>
  /** A text of the library's in the sheet's language. */
  phrase: (text: string) => string
  language: Language
}

/** What a form says of itself on paper, of what is played of it. */
export interface FormSheet<P extends Play> {
  /** Rows that are drawn or chosen: they are in no step, or not in every one. */
  turns?: (play: P) => readonly PlayedTurn[]
  /** What a draw or a round asks for is no lap: it is done once each, however often it comes. */
  once?: boolean
  /** Whether a row's number comes from elsewhere: a card, a rung. */
  noDose?: (play: P) => boolean
  /** The rungs say how often: nobody goes through it again. */
  goneThroughOnce?: boolean
  /** What is said of the block itself. */
  block?: (play: P) => Partial<SheetBlock>
  /**
   * Its lines.
   *
   * @param said what is said at a step
   */
  lines?: (play: P, steps: SheetSteps, said: (step: SheetSteps[number]) => string, linesOf: LinesOf) => string[]
  /** What of the block as a whole is written down, and into how many boxes. */
  record?: { kind: 'rounds' | 'level' | 'points'; boxes: (steps: SheetSteps) => number }
  /** How often something is measured. */
  trials?: (play: P) => number
}
