import type { Step } from '../timing/step.ts'

/** A sound: a bell at the start of a step, its half, the last three seconds, a counted rep, the end. */
export type Cue =
  | { at: number; kind: 'bell'; tone: 'work' | 'rest' | 'end' }
  | { at: number; kind: 'half' }
  | { at: number; kind: 'tick'; left: 1 | 2 | 3 }
  | { at: number; kind: 'count'; n: number }

type CuedStep = Pick<Step, 'kind' | 'by' | 'side' | 'reps' | 'seconds'>

/** A slot shorter than this has no halfway call: there is hardly time to hear it. Ours. */
const shortestHalved = 20
/** A step shorter than this has no countdown. Ours. */
const shortestTicked = 5

/**
 * The sounds of one step, `at` in seconds from its start: the bell that starts it, half-way through a long slot of work, the last three
 * seconds of a timed step, and each rep of counted work at the figure's pace.
 *
 * @param seconds it lasts
 * @example stepCues({ kind: 'rest', by: 'clock', seconds }, 15).map((c) => c.at) // [0, 12, 13, 14]
 */
export function stepCues(step: CuedStep, seconds: number): Cue[] {
  const cues: Cue[] = [{ at: 0, kind: 'bell', tone: step.kind === 'work' ? 'work' : 'rest' }]
  if (step.kind === 'work' && step.by === 'count' && step.reps) {
    const each = step.seconds.typical / step.reps
    for (let n = 1; n <= step.reps; n++) cues.push({ at: n * each, kind: 'count', n })
  }
  if (step.by !== 'clock') return cues
  if (step.kind === 'work' && !step.side && seconds >= shortestHalved) cues.push({ at: seconds / 2, kind: 'half' })
  if (seconds >= shortestTicked) {
    for (const left of [3, 2, 1] as const) cues.push({ at: seconds - left, kind: 'tick', left })
  }
  return cues
}
