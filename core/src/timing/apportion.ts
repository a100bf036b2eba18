import type { Span } from './span.ts'
import type { Step } from './step.ts'

/**
 * Whole numbers in proportion to others, with a given sum.
 *
 * @example shares([10, 20, 10], 44) // [11, 22, 11]
 */
export function shares(weights: readonly number[], sum: number): number[] {
  const all = weights.reduce((a, b) => a + b, 0)
  let [so, given] = [0, 0]
  return weights.map((n) => {
    so += n
    const now = Math.floor((so * sum) / all)
    const share = now - given
    given = now
    return share
  })
}

/**
 * Distributes a total over some steps for a quick or a slow child, starting with the first. What a quick child does beyond a usual one's
 * cap lengthens its steps, what a slow child does not reach shortens them; neither beyond the usual duration.
 */
export function spread(steps: readonly Step[], end: 'low' | 'high', seconds: number): void {
  let spare = seconds - steps.reduce((sum, step) => sum + step.seconds[end], 0)
  for (const step of steps) {
    if (spare === 0) return
    const room = step.seconds.typical - step.seconds[end]
    const more = end === 'low' ? Math.min(spare, room) : Math.max(spare, room)
    if (more !== 0) step.seconds = { ...step.seconds, [end]: step.seconds[end] + more }
    spare -= more
  }
}

/**
 * Steps with a given total, each in proportion to a usual child's. None of them is timed by a clock then.
 *
 * @param steps end to end; the first keeps its start
 */
export function lastingTogether(steps: readonly Step[], { low, typical, high }: Span): Step[] {
  const usual = shares(
    steps.map((step) => step.seconds.typical),
    typical,
  )
  const quick = shares(usual, low)
  const slow = shares(usual, high)
  let at = steps[0]?.at ?? 0
  return steps.map((step, i) => {
    const made: Step = { ...step, at, by: 'count', seconds: { low: quick[i]!, typical: usual[i]!, high: slow[i]! } }
    at += usual[i]!
    return made
  })
}
