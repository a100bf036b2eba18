import { z } from 'zod'
import { limits } from '../../base/limits.ts'
import { perGroupSchema, valueFor } from '../../terms/perGroup.ts'
import { blockFields, secondsSchema, stationsField } from '../../session/blockParts.ts'

/** The highest rung allowed. */
const rungSchema = z.int().min(1).max(120)

/** One of each, two of each … ten; or 10-15-20 of one exercise with rests. */
export const ladderSchema = z.strictObject({
  ...blockFields,
  form: z.literal('ladder'),
  stations: stationsField,
  unit: z.enum(['reps', 'seconds']),
  from: perGroupSchema(rungSchema),
  to: perGroupSchema(rungSchema),
  by: z.int().min(1).max(limits.laps),
  /** `upDown` has its top once. */
  shape: z.enum(['up', 'down', 'upDown']),
  /** Any row of numbers, 21-15-9, instead of the fields above. */
  rungs: perGroupSchema(z.array(rungSchema).min(1).max(60)).optional(),
  /** Between rungs. */
  restBetween: perGroupSchema(secondsSchema),
})
export interface LadderBlock extends z.infer<typeof ladderSchema> {}

/** One to ten. */
export const newLadder = (id: string): LadderBlock => ({
  id,
  form: 'ladder',
  stations: [],
  unit: 'reps',
  from: { all: 1 },
  to: { all: 10 },
  by: 1,
  shape: 'up',
  restBetween: { all: 0 },
})

/** The rungs of a ladder for a group, in climbing order. */
export const rungsFor = (block: LadderBlock, groupId: string): number[] =>
  block.rungs
    ? valueFor(block.rungs, groupId)
    : rungs(valueFor(block.from, groupId), valueFor(block.to, groupId), block.by, block.shape)

/**
 * The rungs of a ladder in climbing order.
 *
 * @example rungs(1, 4, 1, 'upDown') // [1, 2, 3, 4, 3, 2, 1]
 */
export function rungs(from: number, to: number, by: number, shape: LadderBlock['shape']): number[] {
  const [low, high] = [Math.min(from, to), Math.max(from, to)]
  const up: number[] = []
  for (let n = low; n <= high; n += by) up.push(n)
  if (shape === 'up') return up
  const down = up.toReversed()
  return shape === 'down' ? down : [...up, ...down.slice(1)]
}
