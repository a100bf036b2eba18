/** A block's effect on a lane, by the state the lane arrives in; undefined for impossible states. */
export type Passage = readonly ({ seconds: number; exit: number } | undefined)[]

/** A block with all its possible changes. Costs are whole numbers. */
export interface FitBlock {
  /** Settings for all groups; the first is the unchanged block, at no cost. `variant` says which stations are left out. */
  shared: readonly { cost: number; variant: number }[]
  /** By lane. */
  lanes: readonly FitLane[]
}

export interface FitLane {
  /** What each shared setting does to the lane; undefined if the setting is not allowed for this lane. */
  follow: readonly (Passage | undefined)[]
  /** The extra cost for a lane to follow each of them: it takes time from a lane that needs all of it. */
  spared: readonly number[]
  /** The lane's own settings, by variant; they replace the shared one. */
  own: readonly (readonly { cost: number; passage: Passage }[])[]
}

/**
 * The problem: choose one shared setting for each block, and optionally a lane's own setting instead, at the least total cost, so that
 * every lane's seconds are between `least` and `most` and at most `together` apart. Every lane starts in state 0; a state says how a lane
 * leaves a block (the child's position, unused rest).
 */
export interface FitProblem {
  blocks: readonly FitBlock[]
  lanes: number
  states: number
  /** Seconds. */
  least: number
  most: number
  together?: number
}

export interface FitSolution {
  cost: number
  /** The shared setting of each block. */
  shared: number[]
  /** By block and lane: the lane's own setting, if any. */
  own: (number | undefined)[][]
  /** Of each lane. */
  seconds: number[]
  /** False if the search was cut short: a cheaper one may exist. */
  proven: boolean
}
