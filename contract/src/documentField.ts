import { z } from 'zod'
import { ProblemError, readDocument, type DocumentKind } from '@esfuerzo/core'

/**
 * A document inside a request or an answer, read like any other document: older versions are migrated, a newer one is refused by its
 * version, and every mistake keeps its path.
 */
export const documentField = <T>(kind: DocumentKind<T>): z.ZodType<T, T> =>
  z.unknown().transform((data, context): T => {
    try {
      return readDocument(kind, data)
    } catch (error) {
      if (!(error instanceof ProblemError)) throw error
      for (const problem of error.problems)
        context.addIssue({ code: 'custom', path: problem.path, params: { problem }, input: data })
      return z.NEVER
    }
  }) as unknown as z.ZodType<T, T>
