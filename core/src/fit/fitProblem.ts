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
  /** What each shared setting does to the lane; undefined where the setting is not for this lane. */
  follow: readonly (Passage | undefined)[]
  /** The extra cost for a lane to follow each of them: it takes time from a lane that needs all of it. */
  spared: readonly number[]
  /** The lane's own settings, by variant; they replace the shared one. */
  own: readonly (readonly { cost: number; passage: Passage }[])[]
}

/**
 * Choose one shared setting for each block, and for any lane a setting of its own instead, at the least total cost
 * such that every lane's seconds are between `least` and `most`, and at most `together` apart. Every lane begins in
 * state 0; states say how a lane comes out of a block (how the child stands, what rest is unused).
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
  /** False where the search was cut short: a cheaper one may exist. */
  proven: boolean
}
