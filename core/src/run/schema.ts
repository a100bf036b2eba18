import { z } from 'zod'
import { unitSchema } from '../workout/dose.ts'
import { idSchema } from '../workout/id.ts'
import { runFormat } from './runFormat.ts'
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
  /** Of a ladder, and of a measurement, from 1. */
  rung: z.int().min(1).max(100).optional(),
  trial: z.int().min(1).max(20).optional(),
  value: z.number().min(-100).max(10_000),
  unit: unitSchema,
  clean: z.enum(['yes', 'no']).optional(),
  load: z.strictObject({ kg: z.number().min(0).max(20) }).optional(),
})
export type Result = z.infer<typeof resultSchema>

/** A pulse counted by fingers: the beats in so many seconds. */
export const pulseSchema = z.strictObject({
  beats: z.int().min(1).max(80),
  seconds: z.union([z.literal(6), z.literal(10), z.literal(15)]),
  when: z.enum(['before', 'during', 'after', 'minuteAfter']),
})
export type Pulse = z.infer<typeof pulseSchema>

const surveySchema = z.strictObject({
  again: z.enum(surveyQuestions.again).optional(),
  space: z.enum(surveyQuestions.space).optional(),
})
export type Survey = z.infer<typeof surveySchema>

const stepsSchema = z.int().min(0).max(20_000)

/** One child's session, as the device sends it. Nothing in it names a child. */
export const runSchema = z.strictObject({
  format: z.literal(runFormat),
  version: z.literal(1),
  /** Made on the device, so that a run sent twice is stored once. */
  id: z.uuid(),
  /** SHA-256 of the publication that was run. */
  publication: z.string().regex(/^[0-9a-f]{64}$/, 'a SHA-256 in hex'),
  group: idSchema,
  startedAt: z.iso.datetime(),
  finishedAt: z.iso.datetime(),
  /** The device's IANA time zone. */
  zone: z
    .string()
    .max(64)
    .regex(/^[A-Za-z0-9_+\-/]+$/, 'a time zone'),
  steps: z.strictObject({ done: stepsSchema, skipped: stepsSchema, easier: stepsSchema }),
  felt: feltSchema.optional(),
  results: z.array(resultSchema).max(500),
  pulses: z.array(pulseSchema).max(20).optional(),
  survey: surveySchema.optional(),
})
export type Run = z.infer<typeof runSchema>
