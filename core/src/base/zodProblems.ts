import type { z } from 'zod'
import type { Problem, ProblemCode } from './problem.ts'

type Issue = z.core.$ZodIssue

/** A value as a short text for a message: never more than 60 characters of somebody's file. */
export function shown(value: unknown): string {
  if (value === undefined) return 'nothing'
  if (Array.isArray(value)) return `a list of ${value.length}`
  if (value !== null && typeof value === 'object') return 'an object'
  const text = typeof value === 'string' ? JSON.stringify(value) : String(value)
  return text.length > 60 ? `${text.slice(0, 57)}…` : text
}

/** The value at a path inside unknown data, or undefined where the path leaves it. */
export function valueAt(root: unknown, path: readonly PropertyKey[]): unknown {
  let here = root
  for (const part of path) {
    if (here === null || typeof here !== 'object') return undefined
    here = (here as Record<PropertyKey, unknown>)[part]
  }
  return here
}

const bound = (issue: { origin?: string }, word: string, limit: unknown): string => {
  const what = issue.origin === 'string' ? ' characters' : issue.origin === 'array' ? ' entries' : ''
  return `${word} ${String(limit)}${what}`
}

function codeAndExpected(issue: Issue): { code: ProblemCode; expected?: string } {
  switch (issue.code) {
    case 'invalid_type':
      return { code: 'wrong-type', expected: issue.expected }
    case 'too_small':
      return { code: 'too-small', expected: bound(issue, 'at least', issue.minimum) }
    case 'too_big':
      return { code: 'too-large', expected: bound(issue, 'at most', issue.maximum) }
    case 'invalid_value':
      return { code: 'not-a-choice', expected: issue.values.map(String).join(', ') }
    case 'invalid_format':
      return { code: 'bad-format', expected: issue.format }
    case 'custom':
      return { code: (issue.params?.code as ProblemCode | undefined) ?? 'invalid', expected: issue.message }
    case 'invalid_union':
      return {
        code: issue.discriminator ? 'not-a-choice' : 'wrong-type',
        expected: issue.message === 'Invalid input' ? undefined : issue.message,
      }
    default:
      return { code: 'invalid', expected: issue.message }
  }
}

/**
 * What Zod found, as our own problems: one per mistake, unknown keys one per key.
 *
 * @param error what `safeParse` gave
 * @param input the data it was given, to say what stood there
 */
export function zodProblems(error: { readonly issues: readonly Issue[] }, input: unknown): Problem[] {
  return error.issues.flatMap((issue): Problem[] => {
    const path = issue.path.map((p) => (typeof p === 'number' ? p : String(p)))
    if (issue.code === 'unrecognized_keys') {
      return issue.keys.map((key) => ({ code: 'unknown-key', path: [...path, key], received: key }))
    }
    if (issue.code === 'invalid_key') {
      return [{ code: 'bad-format', path, expected: 'an id', received: shown(path.at(-1)) }]
    }
    // A document inside a message was read by itself: its problems are ours already, and only lie deeper here.
    if (issue.code === 'custom' && issue.params?.problem) return [{ ...(issue.params.problem as Problem), path }]
    return [{ ...codeAndExpected(issue), path, received: shown(valueAt(input, path)) }]
  })
}
