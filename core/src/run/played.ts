import type { Play } from '../publication/playSchema.ts'
import type { Say, StepKind } from '../timing/step.ts'

/** How a child plays a form. Only family pages run it: it brings no schema. */
export interface Played<P extends Play> {
  /** Its steps only tell how long it may take: the child plays them as one, which ends after `clock` seconds, if any. */
  asOne?: { clock: (play: P) => number | undefined; params?: (play: P) => Say['params'] }
  /** Kinds of steps in which a child has to find an answer: they take as long as they take. */
  answered?: readonly StepKind[]
  /** Its screen shows what its steps say, so it is no cue. */
  saysItself?: true
  /** Seconds after which the block ends, done or not. */
  cap?: (play: P) => number
}
