import { traitsOf } from '../../../session/formTraits.ts'
import { isHard } from '../../hardWork.ts'
import { limit } from '../../limits.ts'
import { perLane, type Rule } from '../../rule.ts'
import type { CheckedLane, CheckedStep } from '../../view.ts'

interface Run {
  work: number
  rest: number
  /** The longest stretch of work, in seconds. */
  longest: number
  block: string
  section: string
}

const eases = (step: CheckedStep): boolean =>
  step.kind !== 'work' || (step.doing !== undefined && step.doing.version.met < limit('restUnderMet', 0))

/** Neighboring hard work of one block, with the rests in between. */
function runsOf({ steps }: CheckedLane): Run[] {
  const runs: Run[] = []
  let now: Run | undefined
  let eased = 0
  for (const step of steps) {
    if (now && now.block !== step.block) now = undefined
    if (isHard(step)) {
      if (now) now.rest += eased
      else runs.push((now = { work: 0, rest: 0, longest: 0, block: step.block, section: step.section }))
      now.work += step.seconds.typical
      now.longest = Math.max(now.longest, step.seconds.typical)
      eased = 0
    } else if (now && eases(step)) eased += step.seconds.typical
    else now = undefined
  }
  return runs
}

/** More work per rest than the age allows, over a run of hard timed stations. */
export const workRestRatio: Rule = {
  id: 'work-rest-ratio',
  level: 'look',
  family: 'dose',
  find: (view) =>
    perLane(view, (lane) => {
      const { band } = lane
      const most = limit('workToRest', band)
      const run = runsOf(lane).find(({ work, rest, longest, block }) => {
        const place = view.blocks.get(block)
        if (!place || !traitsOf(place.block).clock || work < limit('ratioFrom', band)) return false
        if (longest <= limit('sprintWork', band) && work + rest <= limit('sprintBlock', band)) return false
        return work > rest * most * (1 + limit('ratioTolerance', band))
      })
      if (!run) return undefined
      return {
        where: { section: run.section, block: run.block },
        facts: { work: Math.round(run.work), rest: Math.round(run.rest), most },
      }
    }),
}
