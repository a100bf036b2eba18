import { z } from 'zod'
import { rule } from '../base/problem.ts'
import { doseSchema, unitSchema } from '../terms/dose.ts'
import { idSchema } from '../base/id.ts'
import { limits } from '../base/limits.ts'
import { perGroupSchema } from '../terms/perGroup.ts'
import { lineSchema, paragraphSchema } from '../base/text.ts'

const loadSchema = z.strictObject({ kg: z.number().min(0).max(20) })

/** Every face of a coin, a card, a die or a tossed thing. */
export const faces = [
  'heads',
  'tails',
  'clubs',
  'diamonds',
  'hearts',
  'spades',
  'one',
  'two',
  'three',
  'four',
  'five',
  'six',
  'left',
  'right',
] as const
export type Face = (typeof faces)[number]

/** What changes at a station from one lap on: two hands first, then one; fewer reps; a lighter bottle. */
export const lapChangeSchema = z.strictObject({
  /** The first lap it applies to; it lasts until a later change. */
  lap: z.int().min(2).max(limits.laps),
  version: idSchema.optional(),
  dose: doseSchema.optional(),
  load: loadSchema.optional(),
})
export type LapChange = z.infer<typeof lapChangeSchema>

/** What one group does at a station. The version is stored, so that a later library never changes it silently. */
export const cellSchema = z.strictObject({
  move: idSchema,
  version: idSchema,
  dose: doseSchema.optional(),
  load: loadSchema.optional(),
  /** `slow`: counted down … and up; `led`: an adult or the figure counts; `own`: at the child's own pace. */
  tempo: z.enum(['slow', 'led', 'own']).optional(),
  /** The child may do one of these exercises instead. */
  oneOf: z.array(idSchema).min(1).max(5).optional(),
  /** Changes from later laps on, in the order of their laps. */
  fromLap: z
    .array(lapChangeSchema)
    .min(1)
    .max(6)
    .refine((changes) => changes.every((c, i) => i === 0 || c.lap > changes[i - 1]!.lap), {
      error: rule('lapsRising'),
    })
    .optional(),
})
export interface Cell extends z.infer<typeof cellSchema> {}
export type Tempo = NonNullable<Cell['tempo']>

/**
 * A cell in one lap: with every change that has begun by then applied.
 *
 * @param lap from 1
 * @example cellAt({ move: 'm', version: 'a', fromLap: [{ lap: 2, version: 'b' }] }, 3) // { move: 'm', version: 'b' }
 */
export function cellAt(cell: Cell, lap: number): Cell {
  if (!cell.fromLap) return cell
  const { fromLap, ...base } = cell
  return fromLap
    .filter((change) => change.lap <= lap)
    .reduce<Cell>((now, { lap: _, ...change }) => ({ ...now, ...change }), base)
}

export const stationSchema = z.strictObject({
  id: idSchema,
  cells: perGroupSchema(cellSchema),
  /** "Arrange" leaves it in its place. */
  pinned: z.boolean().optional(),
  /** "Fit" may leave it out. */
  optional: z.boolean().optional(),
  /** Its name in today's story. */
  storyName: lineSchema.optional(),
  /** Today's one point to watch. */
  focus: lineSchema.optional(),
  /** Which side of the coin, suit, number or side of the line calls it, in a form of chance. */
  face: z.enum(faces).optional(),
  /** What a child records here afterward. */
  record: unitSchema.optional(),
  /** The teacher's own words: what else to say, and easier and harder ways that the library lacks. */
  note: paragraphSchema.optional(),
  easier: lineSchema.optional(),
  harder: lineSchema.optional(),
})
export interface Station extends z.infer<typeof stationSchema> {}
