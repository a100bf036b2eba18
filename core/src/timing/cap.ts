import type { Span } from './span.ts'
import { spread } from './apportion.ts'
import type { Step } from './step.ts'

/**
 * Steps ended by a cap for three complete children: quick, usual and slow, each stopped by it. The usual child's step that reaches the cap
 * is cut, later ones are left out, and their effects do not happen.
 *
 * @param steps end to end
 * @param cap seconds from the start of the first
 * @param goesOn whether a quick child goes on until the cap: the steps are only what a usual child does
 * @returns `met`: which step the cap ends, if any
 */
export function endAtCap(steps: readonly Step[], cap: number, goesOn: boolean): { steps: Step[]; met?: number } {
  const total = (end: keyof Span) =>
    Math.min(
      cap,
      steps.reduce((sum, step) => sum + step.seconds[end], 0),
    )
  const [low, high] = [total(goesOn ? 'typical' : 'low'), total('high')]
  const ends = (steps[0]?.at ?? 0) + cap
  const met = steps.findIndex((step) => step.at + step.seconds.typical >= ends)
  const kept = met < 0 ? [...steps] : [...steps.slice(0, met), cutAt(steps[met]!, ends)]
  const fromLast = kept.toReversed()
  spread(fromLast, 'low', low)
  spread(fromLast, 'high', high)
  return met < 0 ? { steps: kept } : { steps: kept, met }
}

/** A step that ended early; a count that was not completed is left out. */
function cutAt(step: Step, ends: number): Step {
  const left = ends - step.at
  if (left === step.seconds.typical) return step
  const { reps: _, ...cut } = step
  return { ...cut, seconds: { low: Math.min(step.seconds.low, left), typical: left, high: left } }
}
