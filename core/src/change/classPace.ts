/** How long a class takes beside what is usual for it: 1.1 is a tenth longer. */
export interface ClassPace {
  pace: number
  /** Of the middle half of the children. */
  quartiles: { from: number; to: number }
  children: number
}

/** A run's counted steps, each as real ÷ expected seconds, its first and last of a block left out. */
export interface PacedRun {
  child: string
  /** Sessions are told apart: one is too few. */
  session: string
  /** Milliseconds since 1970. */
  at: number
  steps: readonly { ratio: number; seconds: number }[]
}

/** Bounds of what is learnt from: trade's, ours. */
const ratios = { from: 0.4, to: 3 }
const fewest = { steps: 3, seconds: 60, children: 8, sessions: 2 }
/** Of a child the last so many runs. */
const lastRuns = 3
/** Of the children so large a share with the longest times is left out: a tablet left alone only ever lengthens. */
const dropped = 0.15
/** The usual counts like so many children. */
const usualWeight = 20
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

/** The middle of a run's steps as a logarithm; undefined where it says too little. */
function runPace({ steps }: PacedRun): number | undefined {
  const told = steps.filter(({ ratio }) => ratio >= ratios.from && ratio <= ratios.to)
  const seconds = told.reduce((sum, step) => sum + step.seconds, 0)
  if (told.length < fewest.steps || seconds < fewest.seconds) return undefined
  return Math.log(medianOf(told.map((step) => step.ratio)))
}

/**
 * A class's own pace: of each run the middle of its counted steps, of each child the middle of its last three runs, of the class the
 * middle of its children after the longest 15 % are left out, drawn towards what is usual where children are few. Ours.
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
  const drawn = (n / (n + usualWeight)) * quantileOf(kept, 0.5)
  return {
    pace: Math.min(bounds.to, Math.max(bounds.from, Math.exp(drawn))),
    quartiles: { from: Math.exp(quantileOf(paces, 0.25)), to: Math.exp(quantileOf(paces, 0.75)) },
    children: n,
  }
}
