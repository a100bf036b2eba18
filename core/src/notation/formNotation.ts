import type { Block } from '../session/forms.ts'
import type { Face, Station } from '../session/station.ts'
import type { Fact } from './facts.ts'

/** How one form of work is written. */
export interface FormNotation<B extends Block> {
  /** The start of a line that opens a block of this form. */
  opens: RegExp
  /** What its line says, in the order in which it is printed; the first always is. */
  facts: Fact<B>[]
  /** The line of a form without facts. */
  bare?: string
  /** What may come before a row with a colon: a face, a called word. */
  prefix?: {
    read: (word: string, block: B) => Partial<Pick<Station, 'face' | 'storyName'>> | undefined
    print: (station: Station) => string | undefined
  }
  /** Faces of the columns, where rows in one line are parted by bars. */
  columns?: (block: B) => readonly Face[]
  /** Lines of its own below its line. */
  lines?: {
    /** The block with what a line says; undefined if the line says nothing of this form's. */
    read: (line: string, block: B) => B | undefined
    print: (block: B) => string[]
    /** Fields that its first line says, though lines say the others. */
    facts?: readonly string[]
    /** The block without what its lines cannot say. */
    strip: (block: B) => B
  }
}
