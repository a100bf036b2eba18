import type { CheckedLane, CheckedStep } from './view.ts'

/** Work that is hard for children: fast, or with a full landing. */
export const isHard = ({ hard }: CheckedStep): boolean => hard === true

/** Work that moves, not holds. Counted circles and bends move. */
export const isMoving = ({ kind, doing }: CheckedStep): boolean =>
  kind === 'work' &&
  doing !== undefined &&
  ((doing.move.family !== 'stretch' && doing.move.family !== 'breathe') || doing.move.measures.includes('reps'))

/** When a step is over. */
export const endOf = ({ at, seconds }: CheckedStep): number => at + seconds.typical

/** The hard steps of a lane, in order. */
export const hardSteps = ({ steps }: CheckedLane): CheckedStep[] => steps.filter(isHard)
