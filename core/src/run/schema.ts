import { z } from 'zod'
import { rule } from '../base/problem.ts'
import { zoneSchema } from '../terms/zone.ts'
import type { DocumentKind } from '../documents/document.ts'
import { unitSchema } from '../terms/dose.ts'
import { idSchema } from '../base/id.ts'
import { lineSchema } from '../base/text.ts'
import { mostCountedSteps, runFormat, runVersion, writtenRun } from './runFormat.ts'
import { surveyQuestions } from './survey.ts'

/** How hard it felt: one of five faces up to grade 2, 0–10 above. */
export const feltSchema = z.discriminatedUnion('scale', [
  z.strictObject({ scale: z.literal('faces'), value: z.int().min(1).max(5) }),
  z.strictObject({ scale: z.literal('ten'), value: z.int().min(0).max(10) }),
])
export type Felt = z.infer<typeof feltSchema>

export const resultSchema = z.strictObject({
  block: idSchema,
  station: idSchema.optional(),
  lap: z.int().min(1).max(100).optional(),
  /** The rung of a ladder, or the try of a measurement, from 1. */
  rung: z.int().min(1).max(100).optional(),
  trial: z.int().min(1).max(20).optional(),
  value: z.number().min(-100).max(10_000),
  unit: unitSchema,
  clean: z.enum(['yes', 'no']).optional(),
  load: z.strictObject({ kg: z.number().min(0).max(20) }).optional(),
  /** For a measurement: its set-up and method, since only like is compared with like. */
  how: z
    .strictObject({
      setUp: lineSchema.min(1).optional(),
      counted: z.enum(['child', 'other']).optional(),
      shoes: z.enum(['on', 'off']).optional(),
      warm: z.boolean().optional(),
    })
    .optional(),
})
export interface Result extends z.infer<typeof resultSchema> {}

/** A pulse counted by fingers: the beats in a number of seconds. */
export const pulseSchema = z.strictObject({
  beats: z.int().min(1).max(130),
  seconds: z.union([z.literal(6), z.literal(10), z.literal(15), z.literal(30)]),
  when: z.enum(['before', 'during', 'after', 'minuteAfter']),
})
export type Pulse = z.infer<typeof pulseSchema>

const surveySchema = z.strictObject({
  again: z.enum(surveyQuestions.again).optional(),
  space: z.enum(surveyQuestions.space).optional(),
})
export type Survey = z.infer<typeof surveySchema>

/** How long a child took over self-counted work: the source of its own pace. */
export const countedStepSchema = z.strictObject({
  /** Index of the lane's step, from 0. */
  step: z.int().min(0).max(20_000),
  /** From its start to its end, without pauses. */
  seconds: z.number().min(0).max(3600),
  /** What ended it: the child's tap, the clock of a lane that counts itself, or the cap of its block. */
  by: z.enum(['tap', 'clock', 'cap']),
  /** Whether the page was visible all the time. */
  seen: z.boolean(),
  /** Whether the device spoke or rang while it ran. */
  spoken: z.boolean(),
})
export interface CountedStep extends z.infer<typeof countedStepSchema> {}

/** A time by the device's clock: a clock that was never set says 1970. */
const momentSchema = z.iso.datetime().regex(/^(?:19[7-9]\d|2\d{3})-/, rule('moment'))

const stepsSchema = z.int().min(0).max(20_000)

/** One child's session, as the device sends it. Nothing in it names a child. */
export const runSchema = z.strictObject({
  format: z.literal(runFormat),
  version: z.literal(runVersion),
  /** Made on the device, so that a run sent twice is stored once. */
  id: z.uuid(),
  /** SHA-256 of the publication that was run. */
  publication: z.string().regex(/^[0-9a-f]{64}$/, rule('hash')),
  group: idSchema,
  /** Of the class book, if the child entered its code. */
  pupil: z.uuid().optional(),
  startedAt: momentSchema,
  finishedAt: momentSchema,
  /** The device's IANA time zone. */
  zone: zoneSchema,
  steps: z.strictObject({ done: stepsSchema, skipped: stepsSchema, easier: stepsSchema }),
  /** Whether it reached its end or was stopped early; version 1 did not record it. */
  ended: z.enum(['whole', 'early']).optional(),
  counted: z.array(countedStepSchema).max(mostCountedSteps).optional(),
  felt: feltSchema.optional(),
  results: z.array(resultSchema).max(500),
  pulses: z.array(pulseSchema).max(20).optional(),
  survey: surveySchema.optional(),
  /** Minutes moved this week, in any way; only if the session asks. */
  movedMinutes: z.int().min(0).max(4200).optional(),
})
export interface Run extends z.infer<typeof runSchema> {}

/** A run as a document. What version 1 did not record is missing. */
export const runDocument: DocumentKind<Run> = {
  format: runFormat,
  version: runVersion,
  schema: runSchema,
  migrations: { 1: (run) => run, 2: (run) => run },
  asBefore: (run) => (run.movedMinutes === undefined ? writtenRun(run) : undefined),
}
