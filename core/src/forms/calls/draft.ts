import type { FormDraft } from '../../draft/formDraft.ts'
import type { CallsBlock } from './schema.ts'

/** A caller calls, everybody does it. */
export const callsDraft: FormDraft<CallsBlock> = {
  intents: ['play'],
  game: true,
  upTo: [8, 11],
  moves: [2, 5],
  takes: (move) => move.stretches === undefined,
  sizes: ({ id, band, moves, row, calls, below, young }) => {
    const seed = below(1_000_000)
    const every = [10, 8, 8][band]!
    return Array.from({ length: 13 }, (_, i) => 60 + 20 * i).map((seconds): CallsBlock => ({
      id,
      form: 'calls',
      stations: moves.map((move, i) => ({ ...row(move, 'calls'), storyName: calls[i % calls.length]! })),
      every: { all: every },
      seconds: young(seconds, Math.min(seconds, 240)),
      seed,
    }))
  },
}
