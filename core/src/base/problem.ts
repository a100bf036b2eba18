/**
 * One thing that is wrong with a piece of data, as data. The sentence a person reads is made from it in
 * one place a language, `words/en/problems.ts`.
 */
export interface Problem {
  /** What kind of mistake it is. Codes are stable; they are never reused for something else. */
  code: ProblemCode
  /** Where it is, from the root of the document: `['sections', 0, 'title']`. */
  path: (string | number)[]
  /** What would have been right: a type, a bound, a list of choices. */
  expected?: string
  /** What stood there instead, shortened. */
  received?: string
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
  'invalid',
] as const

export type ProblemCode = (typeof problemCodes)[number]

/** Thrown where data that must be right is not; carries every problem found, not just the first. */
export class ProblemError extends Error {
  readonly problems: Problem[]

  constructor(problems: Problem[], cause?: unknown) {
    super(problems.map((p) => `${p.code} at ${pathText(p.path)}`).join('; '), { cause })
    this.name = 'ProblemError'
    this.problems = problems
  }
}

/**
 * A path as people read it.
 *
 * @example pathText(['sections', 0, 'blocks', 2, 'laps']) // 'sections[0].blocks[2].laps'
 * @example pathText([]) // '(the whole document)'
 */
export function pathText(path: readonly (string | number)[]): string {
  if (path.length === 0) return '(the whole document)'
  return path.map((part, i) => (typeof part === 'number' ? `[${part}]` : i ? `.${part}` : part)).join('')
}
