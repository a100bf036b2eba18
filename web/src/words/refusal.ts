import { CallError } from '@esfuerzo/contract'
import { ProblemError, type Problem } from '@esfuerzo/core'
import { i18n } from './i18n.ts'

/** Why something was refused: by name if the mistakes are known, otherwise in one sentence. */
export interface Refusal {
  /** Empty if there are problems. */
  sentence: string
  problems: readonly Problem[]
}

/**
 * The message about something that was refused, here or by the server.
 *
 * @throws an error of the program, which is nobody's mistake
 */
export function refusalOf(error: unknown): Refusal {
  if (error instanceof SyntaxError) return { sentence: '', problems: [{ code: 'not-json', path: [] }] }
  if (error instanceof ProblemError) return { sentence: '', problems: error.problems }
  if (!(error instanceof CallError)) throw error
  if (error.problems.length) return { sentence: '', problems: error.problems }
  return { sentence: i18n.global.t(`errors.${error.code}`), problems: [] }
}
