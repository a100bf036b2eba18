import { readDocument, type DocumentKind } from '../documents/document.ts'
import { readDocumentText } from '../documents/documentText.ts'
import { crossProblems } from './crossProblems.ts'
import { workoutFormat, workoutSchema, workoutVersion, type Workout } from './schema.ts'
import { saysNewTest } from './versionFour.ts'
import { sectionsAsBefore, sectionsFromFirst } from './versionTwo.ts'

/** The session a teacher makes, as a document. */
export const workoutDocument: DocumentKind<Workout> = {
  format: workoutFormat,
  version: workoutVersion,
  schema: workoutSchema,
  migrations: { 1: (w) => ({ ...w, sections: sectionsFromFirst(w.sections) }), 2: (w) => w, 3: (w) => w },
  cross: crossProblems,
  asBefore: (workout) => {
    // Version 3 knows of four tests, no set-ups, no class's own pace and no minutes moved, version 2 of no answers; a session that says nothing new is written as the first version wrote it.
    if (workout.asksMoved || workout.groups.some((g) => g.pace !== undefined)) return undefined
    if (workout.sections.some((s) => s.blocks.some(saysNewTest))) return undefined
    if (workout.answered) return { ...workout, version: 3 }
    const sections = sectionsAsBefore(workout.sections)
    return sections ? { ...workout, version: 1, sections } : { ...workout, version: 2 }
  },
}

/**
 * Reads a session: migrated to this version, every value per group in its canonical form.
 *
 * @param input JSON data of any shape
 * @throws {ProblemError} with every problem found, each with its path; nothing is read by halves
 */
export const readWorkout = (input: unknown): Workout => readDocument(workoutDocument, input)

/**
 * Reads a session from the text of a file.
 *
 * @throws {ProblemError} as {@link readDocumentText} does
 */
export const readWorkoutText = (text: string): Workout => readDocumentText(workoutDocument, text)
