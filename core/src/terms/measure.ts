import { z } from 'zod'
import { idSchema } from '../base/id.ts'
import { lineSchema, paragraphSchema } from '../base/text.ts'
import { gradeSchema } from './group.ts'
import { unitSchema } from './dose.ts'

/** What is measured at home, alone or between laps. Tests that are not for home are not here. */
export const testIds = [
  'pulse',
  'restingPulse',
  'pulseAfter',
  'sitAndReach',
  'oneLegStand',
  'plankHold',
  'wallSit',
  'pressUps30',
  'sitToStands30',
  'lineJumps15',
  'longJump',
  'sideSteps20',
  'twoMinuteMarch',
  'sockThrows20',
  'hold',
  'reps30',
] as const
export const testSchema = z.enum(testIds)
export type TestId = z.infer<typeof testSchema>

/** How values of a test compare: as they are, as ratios, or as hits of a number of throws. */
export const scaleSchema = z.discriminatedUnion('kind', [
  z.strictObject({ kind: z.literal('absolute') }),
  z.strictObject({ kind: z.literal('ratio') }),
  z.strictObject({ kind: z.literal('hits'), of: z.int().min(1) }),
])
export type Scale = z.infer<typeof scaleSchema>

/** A way of setting a test up. Results of different set-ups do not compare. */
const setUpSchema = z.strictObject({
  id: idSchema,
  name: lineSchema.min(1),
  how: paragraphSchema.min(1),
  kit: z.array(idSchema).max(4),
})
export type SetUp = z.infer<typeof setUpSchema>

/** A test in the library: how to do it, for whom, what it counts, and how much it varies. */
export const measureSchema = z.strictObject({
  id: testSchema,
  name: lineSchema.min(1),
  /** What it tells, in one line for a teacher. */
  tells: lineSchema.min(1),
  figure: idSchema,
  /** The lowest grade that does it. */
  fromGrade: gradeSchema,
  /** Up to which grade it is a game: done, but its change is not judged. */
  gameUpTo: gradeSchema.optional(),
  /** For comparing over a term, or only for the lesson. */
  use: z.enum(['change', 'lesson']),
  /** The body's state: warm and cold values don't compare. */
  warm: z.enum(['needed', 'cold', 'any']),
  /** A try that does not count, in a child's words. */
  practice: lineSchema.min(1).optional(),
  /** How many tries count; if the best counts, more tries mean better results, so the number is fixed. */
  trials: z.int().min(1).max(5),
  score: z.enum(['best', 'mean', 'sum']),
  unit: unitSchema,
  /** The unit of a value in a child's words: centimeters, jumps. */
  in: lineSchema.min(1),
  /** The range of one try, and its smallest step. */
  range: z.strictObject({ from: z.number(), to: z.number(), step: z.number().positive() }),
  better: z.enum(['higher', 'lower', 'none']),
  /** Its maximum, from which grade on: a child who reaches it has reached the top. */
  caps: z.array(z.strictObject({ fromGrade: gradeSchema, value: z.number() })).max(3),
  /** Who counts or reads it. */
  by: z.enum(['child', 'other', 'adult']),
  /** A clock that counts down, one that counts up, finger counting, or none. */
  clock: z.discriminatedUnion('kind', [
    z.strictObject({ kind: z.literal('down'), seconds: z.int().min(5).max(300) }),
    z.strictObject({ kind: z.literal('up') }),
    z.strictObject({ kind: z.literal('none') }),
    z.strictObject({
      kind: z.literal('pulse'),
      seconds: z.union([z.literal(15), z.literal(30)]),
    }),
  ]),
  /** The first one is the default. */
  setUps: z.array(setUpSchema).min(1).max(6),
  scale: scaleSchema,
  /** How one child’s values differ from day to day at home: a standard deviation; for a ratio, a factor above 1. */
  error: z.strictObject({ value: z.number().positive(), source: lineSchema.min(1) }).optional(),
  /** Its time: setting up with the practice try, and each try. */
  seconds: z.strictObject({ setUp: z.int().min(0), trial: z.int().min(1) }),
  steps: z.array(paragraphSchema.min(1)).min(1).max(6),
  /** What ends it. */
  ends: lineSchema.min(1),
  cautions: z.array(paragraphSchema.min(1)).max(4),
  shoes: z.enum(['on', 'off', 'any']),
  /** Heard in the room below. */
  thud: z.boolean().optional(),
  /** Meters of free floor, if it travels. */
  metres: z.number().positive().optional(),
  /** Other things a teacher should know. */
  notes: z.array(paragraphSchema.min(1)).max(4),
})
export interface Measure extends z.infer<typeof measureSchema> {}
