import type { z } from 'zod'
import {
  rules,
  type Counted,
  type Expected,
  type Problem,
  type ProblemCode,
  type Received,
  type Rule,
} from './problem.ts'

type Issue = z.core.$ZodIssue

/** A value as a short text for a message: at most 60 characters of somebody's file. */
export function shown(value: unknown): Received {
  if (value === undefined) return { is: 'nothing' }
  if (Array.isArray(value)) return { count: value.length, of: 'entries' }
  if (value !== null && typeof value === 'object') return { is: 'object' }
  const text = typeof value === 'string' ? JSON.stringify(value) : String(value)
  return text.length > 60 ? `${text.slice(0, 57)}…` : text
}

/** The value at a path inside unknown data, or undefined if the path leaves it. */
export function valueAt(root: unknown, path: readonly PropertyKey[]): unknown {
  let here = root
  for (const part of path) {
    if (here === null || typeof here !== 'object') return undefined
    here = (here as Record<PropertyKey, unknown>)[part]
  }
  return here
}

const countedBy: Partial<Record<string, Counted>> = { string: 'characters', array: 'entries' }

/** Our own rule, if a schema carries one in the place of Zod's message. */
const ruleOf = (message: string): { expected?: Expected } =>
  (rules as readonly string[]).includes(message) ? { expected: { rule: message as Rule } } : {}

function codeAndExpected(issue: Issue): { code: ProblemCode; expected?: Expected } {
  switch (issue.code) {
    case 'invalid_type':
      return { code: 'wrong-type', expected: { type: issue.expected } }
    case 'too_small':
      return { code: 'too-small', expected: { atLeast: Number(issue.minimum), of: countedBy[issue.origin] } }
    case 'too_big':
      return { code: 'too-large', expected: { atMost: Number(issue.maximum), of: countedBy[issue.origin] } }
    case 'invalid_value':
      return { code: 'not-a-choice', expected: { oneOf: issue.values.map(String) } }
    case 'invalid_format':
      return { code: 'bad-format', expected: { value: issue.format }, ...ruleOf(issue.message) }
    case 'custom':
      return { code: (issue.params?.code as ProblemCode | undefined) ?? 'invalid', ...ruleOf(issue.message) }
    case 'invalid_union':
      return {
        code: issue.discriminator ? 'not-a-choice' : 'wrong-type',
        ...ruleOf(issue.message),
      }
    default:
      return { code: 'invalid', ...ruleOf(issue.message) }
  }
}

/**
 * Zod's findings as our own problems: one per mistake, and one per unknown key.
 *
 * @param error what `safeParse` returned
 * @param input the parsed data, to report the value found
 */
export function zodProblems(error: { readonly issues: readonly Issue[] }, input: unknown): Problem[] {
  return error.issues.flatMap((issue): Problem[] => {
    const path = issue.path.map((p) => (typeof p === 'number' ? p : String(p)))
    if (issue.code === 'unrecognized_keys') {
      return issue.keys.map((key) => ({ code: 'unknown-key', path: [...path, key], received: key }))
    }
    if (issue.code === 'invalid_key') {
      return [{ code: 'bad-format', path, expected: { rule: 'id' }, received: shown(path.at(-1)) }]
    }
    // A document inside a message was read separately: its problems are ours already, only deeper here.
    if (issue.code === 'custom' && issue.params?.problem) return [{ ...(issue.params.problem as Problem), path }]
    return [{ ...codeAndExpected(issue), path, received: shown(valueAt(input, path)) }]
  })
}
