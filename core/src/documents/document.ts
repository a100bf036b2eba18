import type { core } from 'zod'
import { ProblemError, type Problem } from '../base/problem.ts'
import { zodProblems } from '../base/zodProblems.ts'
import { migrate, type Migrations } from './migrate.ts'

/** What Zod and its small build have in common. */
interface Schema<T> {
  safeParse: (data: unknown) => { success: true; data: T } | { success: false; error: core.$ZodError }
}

/** A kind of document that is written to a file, a database or a device and read again, perhaps years later. */
export interface DocumentKind<T> {
  /** Its format name: `esfuerzo.workout`. */
  format: string
  /** The version this program works with. */
  version: number
  schema: Schema<T>
  /** Migrations from every version ever written to the next. */
  migrations: Migrations
  /** Errors between its parts. It gets unknown data and never throws. */
  cross?: (document: unknown) => Problem[]
  /**
   * The document as the previous version would have written it; undefined if that version cannot express all of it. Writing this form lets
   * a server or page that is one release behind read it.
   */
  asBefore?(document: T): Record<string, unknown> | undefined
}

/** The type of a kind's documents. */
export type DocumentOf<K> = K extends { schema: Schema<infer T> } ? T : never

/**
 * The only way in for a document, wherever it comes from: migrated to this version, fully checked, in its canonical form.
 *
 * @param data JSON data of any shape
 * @throws {ProblemError} with every problem found, each with its path; a document is never read in part
 */
export function readDocument<T>(kind: DocumentKind<T>, data: unknown): T {
  const document = migrate(data, kind.version, kind.migrations)
  const result = kind.schema.safeParse(document)
  const problems = [
    ...(result.success ? [] : zodProblems(result.error, document)),
    ...(kind.cross ? kind.cross(document) : []),
  ]
  if (problems.length || !result.success) throw new ProblemError(problems)
  return result.data
}

/**
 * A document as it is written: in the previous version if that can express all of it, otherwise in this one (compatibility of two
 * releases).
 *
 * @example writtenDocument(sessionDocument, readSession({ …, version: 1 })).version // 1
 */
export const writtenDocument = <T>(kind: DocumentKind<T>, document: T): unknown => kind.asBefore?.(document) ?? document
