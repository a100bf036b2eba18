import { ProblemError } from '../base/problem.ts'
import { shown } from '../base/zodProblems.ts'

/** From one version of a document to the next: `migrations[1]` takes version 1 to version 2. They never change their argument. */
export type Migrations = Readonly<Record<number, (document: Record<string, unknown>) => Record<string, unknown>>>

/**
 * Migrates a document read from a file or a database to the version this program works with.
 *
 * @param document what was read; not changed
 * @param to the version this program works with
 * @throws {ProblemError} `newer-version` if the document is from a later program. One without a version, or with a version that never
 *   existed, is returned unchanged: its schema reports the mistake.
 */
export function migrate(document: unknown, to: number, migrations: Migrations): unknown {
  if (document === null || typeof document !== 'object' || Array.isArray(document)) return document
  let current = document as Record<string, unknown>
  const version = current.version
  if (typeof version !== 'number' || !Number.isInteger(version)) return document
  if (version > to) {
    throw new ProblemError([
      { code: 'newer-version', path: ['version'], expected: { version: to }, received: shown(version) },
    ])
  }
  for (let v = version; v < to; v++) {
    const step = migrations[v]
    if (!step) return document
    current = { ...step(current), version: v + 1 }
  }
  return current
}
