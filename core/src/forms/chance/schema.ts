import { z } from 'zod'
import { limits } from '../../base/limits.ts'
import type { Face } from '../../session/station.ts'
import { blockFields, seedSchema, stationsField, stretchSchema } from '../../session/blockParts.ts'

/** The faces of each device, in the order of the table. */
export const deviceFaces = {
  coin: ['heads', 'tails'],
  cards: ['clubs', 'diamonds', 'hearts', 'spades'],
  dice: ['one', 'two', 'three', 'four', 'five', 'six'],
  toss: ['left', 'right'],
} as const satisfies Record<string, readonly Face[]>
export type Device = keyof typeof deviceFaces

/** Chance decides what comes next: a coin over a two-column sheet, cards, a die, things tossed over a line. */
export const chanceSchema = z.strictObject({
  ...blockFields,
  form: z.literal('chance'),
  device: z.enum(['coin', 'cards', 'dice', 'toss']),
  /** The table: each station under the face that calls it. */
  stations: stationsField,
  /** Until every row is done once, for a number of seconds, or for a number of draws (rounds, for tossing). */
  stop: z.union([
    z.strictObject({ kind: z.literal('cleared') }),
    z.strictObject({ kind: z.literal('seconds'), seconds: stretchSchema }),
    z.strictObject({ kind: z.literal('draws'), draws: z.int().min(1).max(limits.stations) }),
  ]),
  turns: z.enum(['together', 'oneByOne']),
  seed: seedSchema,
})
export interface ChanceBlock extends z.infer<typeof chanceSchema> {}

/** A coin sheet until both columns are done. */
export const newChance = (id: string): ChanceBlock => ({
  id,
  form: 'chance',
  device: 'coin',
  stations: [],
  stop: { kind: 'cleared' },
  turns: 'together',
  seed: 1,
})

/**
 * The stations of each face: those that name it, then those without a face, distributed in turn.
 *
 * @example a coin sheet of four stations without faces: heads the first and third, tails the second and fourth
 */
export function chanceTable(block: ChanceBlock): Map<Face, ChanceBlock['stations']> {
  const faces: readonly Face[] = deviceFaces[block.device]
  const table = new Map<Face, ChanceBlock['stations']>(faces.map((face) => [face, []]))
  block.stations.forEach((station, i) => {
    const face = station.face && table.has(station.face) ? station.face : faces[i % faces.length]!
    table.get(face)!.push(station)
  })
  return table
}

/** A toss has rounds; three by default. By the clock it continues like any device. */
export const roundsOfToss = (stop: ChanceBlock['stop']): ChanceBlock['stop'] =>
  stop.kind === 'cleared' ? { kind: 'draws', draws: 3 } : stop

/** Whether chance decides what comes next in a block. */
export const isChance = (block: { form: string }): block is ChanceBlock => block.form === 'chance'
