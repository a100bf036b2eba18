import { z } from 'zod'
import { idSchema, lineSchema, units } from '@esfuerzo/core'
import { resultKinds } from '@esfuerzo/core/run'
import { endpoint, none } from './endpoint.ts'
import { idParams, momentSchema } from './fields.ts'

/** The place of a value in the class book, within one session sent home. */
const placeFields = {
  what: z.enum(resultKinds),
  block: idSchema.optional(),
  station: idSchema.optional(),
  lap: z.int().min(1).max(100).optional(),
  rung: z.int().min(1).max(100).optional(),
  trial: z.int().min(1).max(20).optional(),
}

export const bookEntrySchema = z.strictObject({
  ...placeFields,
  id: z.uuid(),
  pupil: z.uuid(),
  /** Null if the value was removed: missing, not zero. */
  value: z.number().nullable(),
  at: momentSchema,
  source: z.enum(['run', 'typed', 'imported']),
  /** For values that came with a run. */
  run: z.uuid().optional(),
  seconds: z.number().optional(),
  kg: z.number().optional(),
  clean: z.enum(['yes', 'no']).optional(),
})

const bookColumnSchema = z.strictObject({
  ...placeFields,
  key: z.string(),
  kind: z.enum(['station', 'measure', 'rounds', 'level', 'points', 'felt', 'pulse', 'weight', 'moved']),
  name: z.string(),
  part: z.string(),
  unit: z.enum([...units, 'perMinute', 'faces', 'ten', 'minutes', 'kg']),
  nth: z.int(),
  of: z.int(),
  seconds: z.number().optional(),
  test: z.string().optional(),
  range: z.strictObject({ from: z.number(), to: z.number(), step: z.number() }).optional(),
  move: z.string().optional(),
  version: z.string().optional(),
})

/** A run without a pupil: no code was given. */
const looseRunSchema = z.strictObject({
  publicationId: z.uuid(),
  id: z.uuid(),
  letter: z.string(),
  finishedAt: momentSchema,
  results: z.int(),
})
export type LooseRun = z.infer<typeof looseRunSchema>

/** A session that was sent home, to this class or to all classes. */
const sentSessionSchema = z.strictObject({
  id: z.uuid(),
  workoutId: z.uuid(),
  title: lineSchema,
  sentAt: momentSchema,
  /** How many pupils of the class have a value of it. */
  pupils: z.int(),
})
export type SentSession = z.infer<typeof sentSessionSchema>

/** A test over time: each date it was measured, with a pupil's tries. */
const testSchema = z.strictObject({
  test: z.string(),
  unit: z.enum(units),
  /** How it was set up, if known, and when in the lesson: otherwise it is a different test. */
  setUp: z.string().optional(),
  moment: z.string(),
  days: z.array(
    z.strictObject({
      /** The session and the block it was measured in. */
      key: z.string(),
      publicationId: z.uuid(),
      title: lineSchema,
      at: momentSchema,
    }),
  ),
  values: z.array(
    z.strictObject({
      pupil: z.uuid(),
      day: z.string(),
      trial: z.int(),
      value: z.number(),
      otherwise: z.string().optional(),
    }),
  ),
})
export type TestOverDates = z.infer<typeof testSchema>

/** Most cells in one write: about half of what a request may hold. A page sends more in turns. */
export const mostCells = 1000

const cellSchema = z.strictObject({
  ...placeFields,
  /** Created by the page, so that a write sent twice is stored once. */
  id: z.uuid(),
  pupil: z.uuid(),
  /** A value its column can't hold gets its own answer and doesn't block the others. */
  value: z.number().min(-1e9).max(1e9).nullable(),
  /** The entry that was there when it was typed; null if there was none. */
  was: z.uuid().nullable(),
  source: z.enum(['typed', 'imported']),
})
export type WrittenCell = z.infer<typeof cellSchema>

/**
 * A cell that cannot be saved: its pupil has left the class, the session has no such column, the value is impossible, its place occurs
 * twice in one request, or another value has its id.
 */
const refusedCellSchema = z.strictObject({
  id: z.uuid(),
  why: z.enum(['no-pupil', 'no-column', 'impossible', 'twice', 'id-taken']),
})
export type RefusedCell = z.infer<typeof refusedCellSchema>

/** The results of a class. */
export const bookEndpoints = {
  listSentSessions: endpoint({
    method: 'GET',
    path: '/api/classes/:id/sessions',
    access: 'teacher',
    params: idParams,
    answer: z.strictObject({ sessions: z.array(sentSessionSchema) }),
  }),
  readTests: endpoint({
    method: 'GET',
    path: '/api/classes/:id/tests',
    access: 'teacher',
    params: idParams,
    answer: z.strictObject({ tests: z.array(testSchema) }),
  }),
  readBook: endpoint({
    method: 'GET',
    path: '/api/classes/:id/results/:publication',
    access: 'teacher',
    params: idParams.extend({ publication: z.uuid() }),
    answer: z.strictObject({
      columns: z.array(bookColumnSchema),
      entries: z.array(bookEntrySchema),
      /** The same places in the same session as it was sent home earlier. */
      earlier: z.array(bookEntrySchema),
      loose: z.array(looseRunSchema),
    }),
  }),
  /** Writes every cell that can be written; the others are returned, each with its reason. */
  writeBook: endpoint({
    method: 'PUT',
    path: '/api/classes/:id/results/:publication',
    access: 'teacher',
    params: idParams.extend({ publication: z.uuid() }),
    body: z.strictObject({ cells: z.array(cellSchema).min(1).max(mostCells) }),
    answer: z.strictObject({
      /** What these cells hold: as written now, or as somebody else wrote the same. */
      written: z.array(bookEntrySchema),
      /** Somebody else wrote meanwhile: the value sent and the stored one; null if it was removed. */
      differing: z.array(z.strictObject({ id: z.uuid(), now: bookEntrySchema.nullable() })),
      /** Cells that can never be written this way; all others are written. */
      refused: z.array(refusedCellSchema),
    }),
  }),
  /** Gives a run with a wrong code or none to a pupil. */
  moveRun: endpoint({
    method: 'PUT',
    path: '/api/publications/:id/runs/:run/pupil',
    access: 'teacher',
    params: idParams.extend({ run: z.uuid() }),
    body: z.strictObject({ pupil: z.uuid().nullable() }),
    answer: none,
  }),
}
