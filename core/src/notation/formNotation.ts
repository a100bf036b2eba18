import type { Block } from '../session/forms.ts'
import type { Face, Station } from '../session/station.ts'
import type { Fact } from './facts.ts'

/** How one form of work is written. */
export interface FormNotation<B extends Block> {
  /** The start of a line that opens a block of this form. */
  opens: RegExp
  /** The facts of its line in print order; the first is always printed. */
  facts: Fact<B>[]
  /** The line of a form without facts. */
  bare?: string
  /** What may come before a row with a colon: a face, a called word. */
  prefix?: {
    read: (word: string, block: B) => Partial<Pick<Station, 'face' | 'storyName'>> | undefined
    print: (station: Station) => string | undefined
  }
  /** Faces of the columns, if rows in one line are separated by bars. */
  columns?: (block: B) => readonly Face[]
  /** Extra lines below its first line. */
  lines?: {
    /** The block with what a line says; undefined if the line says nothing of this form's. */
    read: (line: string, block: B) => B | undefined
    print: (block: B) => string[]
    /** Fields in its first line, although extra lines give the others. */
    facts?: readonly string[]
    /** The block without what its lines cannot say. */
    strip: (block: B) => B
  }
}
