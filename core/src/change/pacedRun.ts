import type { Lane } from '../publication/schema.ts'
import type { Run } from '../run/schema.ts'
import { defaultPace } from '../timing/pace.ts'
import type { PacedRun } from './classPace.ts'

/** Seconds from the last rep to the tap; ours. */
const tapSeconds = 1

/** The part of a lane that tells which pace it was timed at. */
type PacedLane = Pick<Lane, 'steps' | 'grades' | 'pace'>

/**
 * The work in a run that reveals a child's own pace: counted, self-paced and without a spoken count, ended by a tap while the page was
 * visible. The first and the last of a block are left out, because reading and ending happen there. It is relative to the usual pace of the
 * lane's grades, whatever pace the lane was timed at: otherwise an applied pace would be unlearned from the runs it fits.
 *
 * @param lane of what was sent home @param asked whose it is, of which session, and when
 * @returns undefined if there is none
 */
export function pacedRun(
  run: Run,
  lane: PacedLane,
  asked: Pick<PacedRun, 'child' | 'session' | 'at'>,
): PacedRun | undefined {
  const ofBlock = (block: string) => lane.steps.flatMap((s, i) => (s.block === block && s.kind === 'work' ? [i] : []))
  const applied = lane.pace / defaultPace({ grades: lane.grades })
  const steps = (run.counted ?? []).flatMap(({ step: at, seconds, by, seen, spoken }) => {
    const step = lane.steps[at]
    if (step?.tempo !== 'own' || step.by !== 'count' || by !== 'tap' || !seen || spoken) return []
    const block = ofBlock(step.block)
    if (at === block[0] || at === block.at(-1)) return []
    const usual = step.seconds.typical / applied
    return usual > 0 ? [{ ratio: Math.max(0.01, seconds - tapSeconds) / usual, seconds }] : []
  })
  return steps.length ? { ...asked, steps } : undefined
}
