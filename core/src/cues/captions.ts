import type { Step } from '../timing/step.ts'
import { stepCues, type Cue } from './stepCues.ts'

/** A text and when it is shown, in seconds from the start. */
export interface Caption {
  at: number
  until: number
  text: string
}

/** A cue at its moment in a session that runs at typical seconds. */
export const trackCues = (steps: readonly Step[]): Cue[] => [
  ...steps.flatMap((step) => stepCues(step, step.seconds.typical).map((cue) => ({ ...cue, at: step.at + cue.at }))),
  ...(steps.length ? [{ at: endOf(steps), kind: 'bell' as const, tone: 'end' as const }] : []),
]

/** How many typical seconds a lane lasts. */
export const endOf = (steps: readonly Step[]): number => {
  const last = steps.at(-1)
  return last ? last.at + last.seconds.typical : 0
}

/** What a caption adds to its step's words when something is called. */
export interface CallWords {
  half: string
  /** Seconds it is shown. */
  halfSeconds: number
}

/**
 * A session as captions for a film: one after the other without a gap. Each shows its step's words from the step's start, with the number
 * while something is counted or the last three seconds run, and *half-way* when it is called.
 *
 * @param words what is said at a step
 * @example captions([rest of 15 s], () => 'Breathe', half) // Breathe 0–12, 'Breathe · 3' 12–13, … 2, … 1
 */
export function captions(steps: readonly Step[], words: (step: Step) => string, call: CallWords): Caption[] {
  return steps.flatMap((step) => {
    const { typical } = step.seconds
    const text = words(step)
    if (typical <= 0 || !text) return []
    /** Where the text changes, and what is added from then on. */
    const changes: { at: number; add: string }[] = [{ at: 0, add: '' }]
    for (const cue of stepCues(step, typical)) {
      if (cue.kind === 'half') {
        changes.push({ at: cue.at, add: call.half })
        if (cue.at + call.halfSeconds < typical - 3) changes.push({ at: cue.at + call.halfSeconds, add: '' })
      } else if (cue.kind === 'tick') changes.push({ at: cue.at, add: String(cue.left) })
      // A rep is called while it is done: its number stays that long.
      else if (cue.kind === 'count') changes.push({ at: cue.at - typical / step.reps!, add: String(cue.n) })
    }
    changes.sort((a, b) => a.at - b.at)
    return changes.flatMap(({ at, add }, i): Caption[] => {
      const until = changes[i + 1]?.at ?? typical
      if (until - at < 1e-6) return []
      return [{ at: step.at + at, until: step.at + until, text: add ? `${text} · ${add}` : text }]
    })
  })
}
