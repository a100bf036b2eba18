import type { FormDraft } from '../../draft/formDraft.ts'
import type { AmrapBlock } from './schema.ts'

/** As many rounds as possible; the youngest for two thirds of the time. */
export const amrapDraft: FormDraft<AmrapBlock> = {
  intents: ['work'],
  upTo: [18, 60],
  moves: [3, 5],
  takes: (move) => move.stretches === undefined,
  sizes: ({ id, band, moves, row, young }) =>
    Array.from({ length: [15, 19, 23][band]! }, (_, i) => 120 + 30 * i).map((seconds): AmrapBlock => ({
      id,
      form: 'amrap',
      stations: moves.map((move) => row(move, 'amrap')),
      cap: young(seconds, Math.max(120, Math.round((seconds * 2) / 3 / 30) * 30)),
    })),
}
