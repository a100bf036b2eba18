import type { Play } from '../publication/playSchema.ts'
import type { Say, StepKind } from '../timing/step.ts'

/** How a child plays what is played of a form. Only families' pages run it: it takes no schema with it. */
export interface Played<P extends Play> {
  /** The steps are only how long it may take: the child plays them as one, which is over after `clock` seconds where it has any. */
  asOne?: { clock: (play: P) => number | undefined; params?: (play: P) => Say['params'] }
  /** Kinds of its steps that a child has to find an answer to: they take as long as they take. */
  answered?: readonly StepKind[]
  /** Its screen shows what its steps say: that is no cue. */
  saysItself?: true
  /** Seconds after which the block is over, done or not. */
  cap?: (play: P) => number
}
