import type { Step } from './step.ts'

/**
 * The step that is on at a moment of a timeline; a step ends where the next begins. Takes logarithmic time.
 *
 * @param steps of one group
 * @param seconds from the start
 * @returns undefined before the start and from the end on
 * @example stepAt(steps, 0) // steps[0]
 */
export function stepAt(steps: readonly Step[], seconds: number): Step | undefined {
  let low = 0
  let high = steps.length - 1
  while (low <= high) {
    const middle = (low + high) >> 1
    const step = steps[middle]!
    if (seconds < step.at) high = middle - 1
    else if (seconds >= step.at + step.seconds.typical) low = middle + 1
    else return step
  }
  return undefined
}
