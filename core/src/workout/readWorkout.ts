import { ProblemError, type Problem } from '../problem.ts'
import { zodProblems } from '../zodProblems.ts'
import { crossProblems } from './crossProblems.ts'
import { limits } from './limits.ts'
import { migrate, workoutMigrations } from './migrations.ts'
import { workoutSchema, workoutVersion, type Workout } from './schema.ts'

/**
 * Reads a session: migrated to this version, every value per group in its canonical form.
 *
 * @param input JSON data of any shape
 * @throws {ProblemError} with every problem found, each with its path; nothing is read by halves
 */
export function readWorkout(input: unknown): Workout {
  const document = migrate(input, workoutVersion, workoutMigrations)
  const result = workoutSchema.safeParse(document)
  const problems = [...(result.success ? [] : zodProblems(result.error, document)), ...crossProblems(document)]
  if (problems.length || !result.success) throw new ProblemError(problems)
  return result.data
}

/**
 * Reads a session from the text of a file.
 *
 * @throws {ProblemError} `too-big` past 512 KiB, `not-json` with the parser's own words, and all of {@link readWorkout}
 */
export function readWorkoutText(text: string): Workout {
  // Three bytes is the longest a UTF-16 unit becomes in UTF-8, so shorter texts need no counting.
  if (text.length * 3 > limits.bytes && utf8Length(text) > limits.bytes) {
    throw new ProblemError([{ code: 'too-big', path: [], expected: `at most ${limits.bytes / 1024} KiB` }])
  }
  let data: unknown
  try {
    data = JSON.parse(text)
  } catch (error) {
    const problem: Problem = { code: 'not-json', path: [], received: (error as Error).message }
    throw new ProblemError([problem], error)
  }
  return readWorkout(data)
}

function utf8Length(text: string): number {
  let bytes = 0
  for (const char of text) {
    const point = char.codePointAt(0)!
    bytes += point < 0x80 ? 1 : point < 0x800 ? 2 : point < 0x10000 ? 3 : 4
  }
  return bytes
}
