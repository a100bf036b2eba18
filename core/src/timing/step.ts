import type { TestId } from '../terms/measure.ts'
import type { Form } from '../session/forms.ts'
import type { Face, Tempo } from '../session/station.ts'
import type { Amount, Unit } from '../terms/dose.ts'
import type { Span } from './span.ts'

export type StepKind = 'work' | 'rest' | 'change' | 'switch' | 'talk' | 'measure'

/** Sayings of any form; `words/` has one sentence per language for each. */
export type BaseSayCode =
  | 'work'
  | 'workSide'
  | 'rest'
  | 'restNext'
  | 'changeTo'
  | 'standUp'
  | 'switchSide'
  | 'talk'
  | 'travel'
  | 'measure'

/** Sayings of a single form, `form.what`; the words are in the form's words.en.ts and words.es.ts. */
export type FormSayCode = `${Form}.${string}`
export type SayCode = BaseSayCode | FormSayCode

/** What is said, as data. `move` and `version` are ids; names come from the library at the time of publishing. */
export interface Say {
  code: SayCode
  params: {
    move?: string
    version?: string
    story?: string
    side?: 'first' | 'second'
    title?: string
    /** The teacher's own words, or data of the form: rules, a question, a sum. */
    text?: string
    /** For a doubling sum: the number to double, and the number to add. */
    double?: number
    plus?: number
    lap?: number
    n?: number
    of?: number
    amount?: Amount
    unit?: Unit
    face?: Face
    test?: TestId
    /** Exercises the child may do instead. */
    oneOf?: string[]
  }
}

/** One step of a group's session. Its `at` is the sum of the typical seconds before it. */
export interface Step {
  /** Seconds from the start. */
  at: number
  seconds: Span
  kind: StepKind
  /** Whether a clock ends it or the child does. */
  by: 'clock' | 'count'
  /** Ids of the section, block and station it belongs to. */
  section: string
  block: string
  station?: string
  /** From 1. */
  lap?: number
  set?: number
  move?: string
  version?: string
  side?: 'first' | 'second'
  /** Typical reps of counted work. */
  reps?: number
  /** The tempo of reps that are not led. */
  tempo?: Tempo
  say: Say
}
