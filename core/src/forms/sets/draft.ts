import type { FormDraft } from '../../draft/formDraft.ts'
import type { SetsBlock } from './schema.ts'

/** All sets of one exercise, then the next. */
export const setsDraft: FormDraft<SetsBlock> = {
  intents: ['learn'],
  laps: true,
  rests: true,
  upTo: [14, 22],
  moves: [2, 4],
  sizes: ({ id, moves, row, young }) =>
    [2, 3].flatMap((sets) =>
      [20, 30, 45].flatMap((restBetween) =>
        [30, 45, 60].map((restStations): SetsBlock => ({
          id,
          form: 'sets',
          stations: moves.map((move) => row(move, 'sets', { laps: sets })),
          sets: young(sets, Math.max(2, sets - 1)),
          restBetween: { all: restBetween },
          restStations: { all: restStations },
        })),
      ),
    ),
}
