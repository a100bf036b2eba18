import { ProblemError } from '../problem.ts'
import { shown } from '../zodProblems.ts'

/** From one version of a document to the next: `migrations[1]` takes version 1 to version 2. */
export type Migrations = Readonly<Record<number, (document: Record<string, unknown>) => Record<string, unknown>>>

/** Version 1 is the first; a change of the workout's shape adds its step here. */
export const workoutMigrations: Migrations = {}

/**
 * Brings a document read from a file or a database up to the version this program writes.
 *
 * @param document what was read; not changed
 * @param to the version this program writes
 * @throws {ProblemError} `newer-version` when the document is from a later program; `wrong-type` when it has no version
 */
export function migrate(document: unknown, to: number, migrations: Migrations): unknown {
  if (document === null || typeof document !== 'object' || Array.isArray(document)) return document
  let current = document as Record<string, unknown>
  const version = current.version
  if (typeof version !== 'number' || !Number.isInteger(version)) return document
  if (version > to) {
    throw new ProblemError([
      { code: 'newer-version', path: ['version'], expected: `version ${to} or earlier`, received: shown(version) },
    ])
  }
  for (let v = version; v < to; v++) {
    const step = migrations[v]
    if (!step) return document
    current = { ...step(current), version: v + 1 }
  }
  return current
}
