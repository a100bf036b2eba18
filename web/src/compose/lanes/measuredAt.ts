import type { Step } from '@esfuerzo/core'
import type { CameBack } from '@esfuerzo/core/nextTime'

/** Number of homes from which a lane's measured pulses are shown. */
const fewest = 5

/**
 * Measured pulses of a lane at the moments they were counted: before, at its start; during, at its measurement; after, at its end and a
 * minute later. None if fewer than five homes sent any.
 *
 * @example measuredAt({ id: 'g1', steps }, times) // [{ at: 0, beats: 92 }, …]
 */
export function measuredAt(
  { id, steps }: { id: string; steps: readonly Step[] },
  times: readonly { lanes: Readonly<Record<string, readonly CameBack[]>> }[],
): { at: number; beats: number }[] {
  const runs = (times[0]?.lanes[id] ?? []).filter((run) => run.pulses?.length)
  if (runs.length < fewest) return []
  const last = steps.at(-1)
  const end = last ? last.at + last.seconds.typical : 0
  const during = steps.find((step) => step.kind === 'measure')?.at ?? end / 2
  const at = { before: 0, during, after: end, minuteAfter: end + 60 }
  return runs.flatMap((run) => (run.pulses ?? []).map(({ when, rate }) => ({ at: at[when], beats: rate })))
}
