import type { FormDraft } from '../../draft/formDraft.ts'
import type { RelayBlock } from './schema.ts'

/** Two take turns: one works, the other rests. */
export const relayDraft: FormDraft<RelayBlock> = {
  intents: ['play'],
  together: true,
  rests: true,
  upTo: [16, 25],
  moves: [3, 6],
  takes: (move) => move.stretches === undefined,
  sizes: ({ id, moves, row, young }) =>
    [1, 2, 3, 4, 5, 6].flatMap((rounds) =>
      [3, 5].map((change): RelayBlock => ({
        id,
        form: 'relay',
        stations: moves.map((move) => row(move, 'relay')),
        rounds: young(rounds, Math.max(1, rounds - 1)),
        change: { all: change },
      })),
    ),
}
