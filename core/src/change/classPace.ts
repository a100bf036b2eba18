/** A class's pace beside the usual one for its grades: 1.1 is a tenth longer. */
export interface ClassPace {
  pace: number
  /** The quartiles of the children's paces, shrunk toward the usual pace like the class's. */
  quartiles: { from: number; to: number }
  children: number
}

/** A run's counted steps, each as real seconds ÷ usual seconds for the grades, without the first and last of a block. */
export interface PacedRun {
  child: string
  /** Sessions are counted: one is too few. */
  session: string
  /** Milliseconds since 1970. */
  at: number
  steps: readonly { ratio: number; seconds: number }[]
}

/** Limits of a learned pace: trade's, ours. */
const ratios = { from: 0.4, to: 3 }
const fewest = { steps: 3, seconds: 60, children: 8, sessions: 2 }
/** Of each child its last runs, up to this many. */
const lastRuns = 3
/** This share of the children, those with the longest times, is left out: a tablet left alone only ever lengthens a time. */
const dropped = 0.15
/** How much paces differ between children of one class and between classes, as logarithms; ours. */
const spread = { children: 0.2, classes: 0.12 }
/** The usual pace counts like this many children: the best guess with little data. */
const usualWeight = Math.round(spread.children ** 2 / spread.classes ** 2)
const bounds = { from: 0.6, to: 1.8 }

const quantileOf = (sorted: readonly number[], share: number): number => {
  const at = (sorted.length - 1) * share
  const [low, high] = [sorted[Math.floor(at)]!, sorted[Math.ceil(at)]!]
  return low + (high - low) * (at - Math.floor(at))
}
const medianOf = (values: readonly number[]) =>
  quantileOf(
    [...values].sort((a, b) => a - b),
    0.5,
  )

/**
 * A quantile of the normal distribution. Source: Abramowitz & Stegun 1964, 26.2.23 (from memory), to 0.0005.
 *
 * @param share above a half, below 1
 * @example normalQuantile(0.85).toFixed(3) // '1.036'
 */
function normalQuantile(share: number): number {
  const t = Math.sqrt(-2 * Math.log(1 - share))
  return t - (2.515517 + 0.802853 * t + 0.010328 * t * t) / (1 + 1.432788 * t + 0.189269 * t * t + 0.001308 * t ** 3)
}

/**
 * How much too low the median is after the highest values were left out, in standard deviations of a normal distribution.
 *
 * @param kept share that is kept
 * @example cutBias(0.85).toFixed(3) // '0.189'
 */
const cutBias = (kept: number): number => (kept < 1 ? normalQuantile(1 - kept / 2) : 0)

/** The logarithm of a run's median step; undefined if it says too little. */
function runPace({ steps }: PacedRun): number | undefined {
  const told = steps.filter(({ ratio }) => ratio >= ratios.from && ratio <= ratios.to)
  const seconds = told.reduce((sum, step) => sum + step.seconds, 0)
  if (told.length < fewest.steps || seconds < fewest.seconds) return undefined
  return Math.log(medianOf(told.map((step) => step.ratio)))
}

/**
 * A class's own pace: the median of each run's counted steps, the median of each child's last three runs, and the median of the children
 * without the longest 15 %, corrected for the bias of leaving them out and shrunk toward the usual pace with weight n ÷ (n + 3). Medians
 * are used because tablets left alone move a mean twice as far. Ours.
 *
 * @returns undefined below eight children and two sessions
 */
export function classPace(runs: readonly PacedRun[]): ClassPace | undefined {
  const children = new Map<string, { at: number; pace: number }[]>()
  const sessions = new Set<string>()
  for (const run of runs) {
    const pace = runPace(run)
    if (pace === undefined) continue
    sessions.add(run.session)
    children.set(run.child, [...(children.get(run.child) ?? []), { at: run.at, pace }])
  }
  const n = children.size
  if (n < fewest.children || sessions.size < fewest.sessions) return undefined
  const paces = [...children.values()]
    .map((own) =>
      medianOf(
        own
          .sort((a, b) => b.at - a.at)
          .slice(0, lastRuns)
          .map((run) => run.pace),
      ),
    )
    .sort((a, b) => a - b)
  const kept = paces.slice(0, n - Math.floor(n * dropped))
  const middle = quantileOf(kept, 0.5) + cutBias(kept.length / n) * spread.children
  const drawn = (pace: number) => Math.min(bounds.to, Math.max(bounds.from, Math.exp((n / (n + usualWeight)) * pace)))
  return {
    pace: drawn(middle),
    quartiles: { from: drawn(quantileOf(paces, 0.25)), to: drawn(quantileOf(paces, 0.75)) },
    children: n,
  }
}
