import { z } from 'zod'
import { idSchema } from '../base/id.ts'
import { lineSchema } from '../base/text.ts'

/** Grade 0 is kindergarten or reception, 6 the top; a school chooses its own names. */
export const gradeSchema = z.int().min(0).max(6)

/** A class's pace beside the usual one: 1.1 is a tenth longer. */
export const paceSchema = z.number().min(0.6).max(1.8)

export const laneLetters = ['A', 'B', 'C', 'D', 'E', 'F'] as const
export type LaneLetter = (typeof laneLetters)[number]

/** A group of grades: a column of the running order, and a lane of the timeline. */
export const groupSchema = z.strictObject({
  id: idSchema,
  letter: z.enum(laneLetters),
  name: lineSchema.min(1),
  grades: z.array(gradeSchema).min(1).max(7),
  /** From and to, in years. */
  ages: z.tuple([z.int().min(3).max(14), z.int().min(3).max(15)]),
  /** How much longer than usual for its grades it takes over counted work, if a class's own pace is used. */
  pace: paceSchema.optional(),
})
export type Group = z.infer<typeof groupSchema>

/** A group of several grades is held to the limits of its lowest. */
export const lowestGrade = (group: Pick<Group, 'grades'>): number => Math.min(...group.grades)

/**
 * The default ages of a run of grades: grade + 5 to grade + 6.
 *
 * @example defaultAges([2, 3]) // [7, 9]
 */
export const defaultAges = (grades: readonly number[]): [number, number] => [
  Math.min(...grades) + 5,
  Math.max(...grades) + 6,
]

/** Names of grades without the school's own. */
export const defaultGradeNames: readonly string[] = ['K', '1', '2', '3', '4', '5', '6']

/**
 * A group's name from its grades, until the teacher names it.
 *
 * @param names the school's names for its grades, kindergarten first
 * @example gradesName([0, 1]) // 'K–1'
 */
export function gradesName(grades: readonly number[], names: readonly string[] = defaultGradeNames): string {
  const name = (grade: number) => names[grade] ?? String(grade)
  const [low, high] = [Math.min(...grades), Math.max(...grades)]
  return low === high ? name(low) : `${name(low)}–${name(high)}`
}
