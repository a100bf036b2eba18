import { limit } from './limits.ts'
import type { CheckedLane, CheckedStep } from './view.ts'

/** Work that is hard for children: quick, or with a full landing. */
export const isHard = ({ kind, doing }: CheckedStep): boolean =>
  kind === 'work' &&
  doing !== undefined &&
  (doing.version.met >= limit('hardMet', 0) || doing.version.impact >= limit('hardImpact', 0))

/** Work that moves: no hold. Circles and bends that are counted move. */
export const isMoving = ({ kind, doing }: CheckedStep): boolean =>
  kind === 'work' &&
  doing !== undefined &&
  (doing.move.measures.includes('reps') || !['stretch', 'breathe'].includes(doing.move.family))

/** When a step is over. */
export const endOf = ({ at, seconds }: CheckedStep): number => at + seconds.typical

/** The hard steps of a lane, in their order. */
export const hardSteps = ({ steps }: CheckedLane): CheckedStep[] => steps.filter(isHard)
