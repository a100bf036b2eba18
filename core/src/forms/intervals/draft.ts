import type { FormDraft } from '../../draft/formDraft.ts'
import type { IntervalsBlock } from './schema.ts'

/** Work and rest by grade band: never more work per rest than the age allows. */
const clocks = [
  [
    [20, 20],
    [25, 25],
    [30, 30],
  ],
  [
    [25, 20],
    [30, 20],
    [30, 30],
  ],
  [
    [30, 20],
    [40, 20],
    [30, 30],
    [40, 30],
    [45, 30],
  ],
] as const

/** A circuit by the clock. */
export const intervalsDraft: FormDraft<IntervalsBlock> = {
  intents: ['work', 'learn'],
  laps: true,
  moves: [3, 6],
  // Power work is few and fresh, never as many as fit into half a minute.
  takes: (move) => !move.builds.includes('power'),
  sizes: ({ id, band, moves, row, young }) =>
    // A stretch is held for half a minute at most.
    clocks[band]
      .filter(([work]) => work <= 30 || !moves.some((m) => m.stretches))
      .flatMap(([work, rest]) =>
        [2, 3, 4, 5].flatMap((laps) =>
          [45, 60].map((lapRest): IntervalsBlock => {
            const lap = (n: number) => Array.from({ length: n }, () => ({ work, rest }))
            return {
              id,
              form: 'intervals',
              stations: moves.map((move) => row(move, 'intervals', { laps })),
              laps: young(lap(laps), lap(Math.max(2, laps - 1))),
              lapRest: { all: lapRest },
              lastRest: false,
            }
          }),
        ),
      ),
}
