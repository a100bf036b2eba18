import type { Band } from '../checks/limits.ts'
import type { Library } from '../library/library.ts'
import type { Block } from '../session/forms.ts'
import type { Home } from '../session/schema.ts'
import type { Group } from '../terms/group.ts'

/** What of a block can be made a step harder or easier next time. One at a time. */
export const nextLevers = [
  'reps',
  'hold',
  'weight',
  'version',
  'round',
  'lap',
  'work',
  'rest',
  'minute',
  'rung',
  'distance',
  'calls',
] as const
export type NextLever = (typeof nextLevers)[number]

/** One step of one lever, with the block it makes. */
export interface NextStep {
  lever: NextLever
  /** Its value before and after, as numbers; for a version, the names. */
  facts: { from: number | string; to: number | string; move?: string }
  block: Block
  /** All lanes share the value it changes. */
  shared?: true
}

/** Who a step is for, and where. */
export interface NextPlace {
  group: Group
  band: Band
  library: Library
  home: Home
}

/** The steps of a form, the first to try first; those it cannot take are undefined. */
export interface FormSteps {
  up: readonly (NextStep | undefined)[]
  down: readonly (NextStep | undefined)[]
}
export type StepsFor<B extends Block> = (block: B, at: NextPlace) => FormSteps
