import type { FormDraft } from '../../draft/formDraft.ts'
import type { LadderBlock } from './schema.ts'

/** One of each, two of each, up to a number and down again, with a breath in between. */
export const ladderDraft: FormDraft<LadderBlock> = {
  intents: ['work'],
  rests: true,
  upTo: [14, 25],
  moves: [2, 4],
  takes: (move) => move.measures.includes('reps') && move.sides !== 'each' && move.stretches === undefined,
  sizes: ({ id, band, moves, row, young, below }) => {
    const shape = (['up', 'upDown'] as const)[below(2)]!
    return Array.from({ length: [3, 5, 7][band]! }, (_, i) => i + 3).flatMap((to) =>
      [10, 20, 30, 45].map((restBetween): LadderBlock => ({
        id,
        form: 'ladder',
        stations: moves.map((move) => row(move, 'ladder')),
        unit: 'reps',
        from: { all: 1 },
        to: young(to, Math.max(3, to - 2)),
        by: 1,
        shape,
        restBetween: { all: restBetween },
      })),
    )
  },
}
