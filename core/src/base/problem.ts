/** What is counted when a limit is reached. */
export type Counted =
  | 'characters'
  | 'entries'
  | 'groups'
  | 'sections'
  | 'blocks'
  | 'stations'
  | 'steps'
  | 'lines'
  | 'mistakes'
  | 'KiB'
  | 'MiB'
  | 'moves'
  | 'pieces'
  | 'sessions'
  | 'states'
  | 'classes'
  | 'copies'
  | 'pupils'
  | 'terms'
  | 'pages'
  | 'pictures'

/** Problems without a bound or a list of choices; `words/en/problems.ts` has the sentence for each. */
export const rules = [
  'id',
  'ownId',
  'readings',
  'oneOnly',
  'httpsAddress',
  'noOtherAddress',
  'lapsRising',
  'gradesRising',
  'timeZone',
  'oneOfItsVersions',
  'oneOfItsAnswers',
  'moreThanFrom',
  'notLessThanFrom',
  'amount',
  'cleanText',
  'noBrokenCharacters',
  'moment',
  'hash',
  'oneOrTwo',
  'blockWithStations',
  'orderIsTheTeachers',
  'someMove',
  'thisSession',
  'notBeforeItStarted',
  'roomForAnotherLink',
  'linkToken',
  'markOfAPage',
  'messageFile',
  'lanesWithCommas',
  'pupilsWithCommas',
  'aliasOnce',
  'someSign',
  'children',
] as const
export type Rule = (typeof rules)[number]

/** How one of our own rules travels inside a Zod schema: in the place of its message. */
export const rule = (made: Rule): Rule => made

/** The expected value, as data. */
export type Expected =
  /** A JSON type, by Zod's name. */
  | { type: string }
  | { atLeast: number; of?: Counted }
  /** An upper limit; in one lane of a session; the rest of a text was left out. */
  | { atMost: number; of?: Counted; lane?: string; unread?: true }
  | { oneOf: readonly string[] }
  | { rule: Rule }
  /** A version of a document. */
  | { version: number }
  /** Shown unchanged. */
  | { value: string | number }

/** What was there: as written, or its kind. */
export type Received = string | { is: 'nothing' | 'object' | 'more' } | { count: number; of: Counted }

/**
 * One mistake in a piece of data, as data. The sentence a person reads is made from it in one place per language, `words/en/problems.ts`.
 */
export interface Problem {
  /** The kind of mistake. Codes are stable and never reused. */
  code: ProblemCode
  /** Its place, from the root of the document: `['sections', 0, 'title']`. */
  path: (string | number)[]
  /** What would have been right. */
  expected?: Expected
  /** What stood there instead, shortened. */
  received?: Received
}

/** Every code a {@link Problem} may carry. `words/en/problems.ts` has a sentence for each; a test compares the two. */
export const problemCodes = [
  'not-json',
  'wrong-type',
  'unknown-key',
  'not-a-choice',
  'too-small',
  'too-large',
  'bad-text',
  'bad-format',
  'newer-version',
  'unknown-group',
  'unknown-move',
  'unknown-version',
  'duplicate-id',
  'too-many',
  'too-big',
  'not-found',
  'impossible-angle',
  'unread',
  'file-kind',
  'file-picture',
  'file-locked',
  'file-broken',
  'file-empty',
  'file-too-big',
  'file-slow',
  'invalid',
] as const

export type ProblemCode = (typeof problemCodes)[number]

/** Thrown when data that must be correct is not; carries every problem found, not only the first. */
export class ProblemError extends Error {
  readonly problems: Problem[]

  constructor(problems: Problem[], cause?: unknown) {
    super(problems.map((p) => `${p.code} at ${pathText(p.path)}`).join('; '), { cause })
    this.name = 'ProblemError'
    this.problems = problems
  }
}

/**
 * A path as people read it; empty for the whole document.
 *
 * @example pathText(['sections', 0, 'blocks', 2, 'laps']) // 'sections[0].blocks[2].laps'
 * @example pathText([]) // ''
 */
export function pathText(path: readonly (string | number)[]): string {
  return path.map((part, i) => (typeof part === 'number' ? `[${part}]` : i ? `.${part}` : part)).join('')
}
