import { type Problem } from '@esfuerzo/core'
import type { ErrorCode } from './problemDocument.ts'

/** What a call failed with; `offline` if there was no response. */
export class CallError extends Error {
  readonly code: ErrorCode | 'offline'
  readonly problems: readonly Problem[]
  /** The request's id in the server's log; undefined if it never arrived. */
  readonly instance: string | undefined

  constructor(
    code: ErrorCode | 'offline',
    detail: string,
    problems: readonly Problem[] = [],
    cause?: unknown,
    instance?: string,
  ) {
    super(detail, { cause })
    this.name = 'CallError'
    this.code = code
    this.problems = problems
    this.instance = instance
  }
}
