import { type Problem } from '@esfuerzo/core'
import type { ErrorCode } from './problemDocument.ts'

/** Something a call came back with instead of its answer; `offline` where nothing came back at all. */
export class CallError extends Error {
  readonly code: ErrorCode | 'offline'
  readonly problems: readonly Problem[]
  /** The request, as the server's log has it; undefined where it never came there. */
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
