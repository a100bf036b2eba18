import type { FormDraft } from '../../draft/formDraft.ts'
import type { RoundsBlock } from './schema.ts'

/** Rounds by reps, with time to do them well. */
export const roundsDraft: FormDraft<RoundsBlock> = {
  intents: ['learn'],
  laps: true,
  rests: true,
  moves: [3, 6],
  sizes: ({ id, moves, row, young }) =>
    [2, 3, 4, 5].flatMap((rounds) =>
      [45, 60].flatMap((restBetween) =>
        [10, 15, 20].map((restStations): RoundsBlock => ({
          id,
          form: 'rounds',
          stations: moves.map((move) => row(move, 'rounds', { laps: rounds })),
          rounds: young(rounds, Math.max(2, rounds - 1)),
          restBetween: { all: restBetween },
          restStations: { all: restStations },
        })),
      ),
    ),
}
