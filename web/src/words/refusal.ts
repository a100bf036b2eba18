import { CallError } from '@esfuerzo/contract'
import { ProblemError, type Problem } from '@esfuerzo/core'
import { i18n } from './i18n.ts'

/** Why something was not taken: by name where the mistakes are known, else in one sentence. */
export interface Refusal {
  /** Empty where there are problems. */
  sentence: string
  problems: readonly Problem[]
}

/**
 * What a teacher is told of something that was refused, here or by the server.
 *
 * @throws what is a fault of the program, and nobody's mistake
 */
export function refusalOf(error: unknown): Refusal {
  if (error instanceof SyntaxError) return { sentence: '', problems: [{ code: 'not-json', path: [] }] }
  if (error instanceof ProblemError) return { sentence: '', problems: error.problems }
  if (!(error instanceof CallError)) throw error
  if (error.problems.length) return { sentence: '', problems: error.problems }
  return { sentence: i18n.global.t(`errors.${error.code}`), problems: [] }
}
