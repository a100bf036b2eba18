import { z } from 'zod'
import { figureSchema, type Figure } from '../figure/schema.ts'
import { ProblemError } from '../base/problem.ts'
import type { Phrases } from '../terms/language.ts'
import { idSchema } from '../base/id.ts'
import { zodProblems } from '../base/zodProblems.ts'
import { measureSchema, type Measure, type TestId } from '../terms/measure.ts'
import { moveSchema, type Move } from '../terms/move.ts'

export const muscleSchema = z.strictObject({
  id: idSchema,
  name: z.string(),
  anatomical: z.string(),
  region: z.enum(['upper', 'lower', 'core']),
  /** One line a child can read. */
  line: z.string(),
})
export type Muscle = z.infer<typeof muscleSchema>

export const kitItemSchema = z.strictObject({
  id: idSchema,
  name: z.string(),
  /** Picked up and put down (3 s each), unlike a wall, a chair or a mat. */
  held: z.boolean(),
  standIns: z.array(z.string()),
  /** Why nothing replaces it, if so. */
  noStandIn: z.string().optional(),
  /** Assumed to be in every home. */
  usual: z.boolean().optional(),
  /** The question a child asks first, in a child's words. */
  ask: z.string().optional(),
})
export type KitItem = z.infer<typeof kitItemSchema>

/**
 * An activity of the 2011 adult Compendium (Ainsworth et al., Med Sci Sports Exerc 43:1575), code and value from memory. It ranks
 * exercises; it is never converted to energy.
 */
export const activitySchema = z.strictObject({
  code: z.string().regex(/^\d{5}$/),
  name: z.string(),
  met: z.number().min(1).max(20),
})
export type Activity = z.infer<typeof activitySchema>

export const libraryDataSchema = z.strictObject({
  version: z.int().min(1),
  moves: z.array(moveSchema),
  figures: z.array(figureSchema),
  muscles: z.array(muscleSchema),
  kit: z.array(kitItemSchema),
  effort: z.array(activitySchema),
  measures: z.array(measureSchema),
  /** Its texts in other languages, for family pages; the teacher's pages do not need them. */
  words: z.object({ es: z.record(z.string(), z.string()) }).optional(),
})
/** The library as it is in its files. */
export type LibraryData = z.infer<typeof libraryDataSchema>

/** The library with everything indexed by id. */
export interface Library {
  version: number
  moves: ReadonlyMap<string, Move>
  figures: ReadonlyMap<string, Figure>
  muscles: ReadonlyMap<string, Muscle>
  kit: ReadonlyMap<string, KitItem>
  /** By code. */
  effort: ReadonlyMap<string, Activity>
  /** All tests. */
  measures: ReadonlyMap<TestId, Measure>
  words?: Phrases
}

const byId = <T extends { id: string }>(list: readonly T[]): ReadonlyMap<T['id'], T> =>
  new Map(list.map((entry) => [entry.id, entry]))

/** Indexes a library that is known to be valid (a test reads every file with {@link readLibrary}). */
export const indexLibrary = (data: LibraryData): Library => ({
  version: data.version,
  moves: byId(data.moves),
  figures: byId(data.figures),
  muscles: byId(data.muscles),
  kit: byId(data.kit),
  effort: new Map(data.effort.map((activity) => [activity.code, activity])),
  measures: byId(data.measures),
  ...(data.words && { words: data.words }),
})

/**
 * Reads a library from data of any shape.
 *
 * @throws {ProblemError} naming every mistake with its path
 */
export function readLibrary(data: unknown): Library {
  const result = libraryDataSchema.safeParse(data)
  if (!result.success) throw new ProblemError(zodProblems(result.error, data))
  return indexLibrary(result.data)
}
