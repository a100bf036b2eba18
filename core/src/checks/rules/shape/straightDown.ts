import { endOf, isHard, isMoving } from '../../hardWork.ts'
import { limit } from '../../limits.ts'
import { perLane, type Rule } from '../../rule.ts'
import type { CheckedLane, CheckedStep } from '../../view.ts'

const low = ['lyingBack', 'lyingFront', 'seated', 'kneeling', 'handsAndFeet']

/** Still and low: lying, sitting or kneeling in a stretch or a breathing exercise. */
const isDown = (step: CheckedStep): boolean =>
  step.doing !== undefined &&
  ['stretch', 'breathe'].includes(step.doing.move.family) &&
  !isMoving(step) &&
  low.includes(step.doing.version.posture ?? step.doing.move.posture)

/** The first still and low step right after a minute of hard work. */
function downAfter({ steps, band }: CheckedLane): CheckedStep | undefined {
  let hard = 0
  let until = -Infinity
  for (const step of steps) {
    if (step.kind !== 'work') continue
    const soon = step.at - until < limit('downWithin', band)
    if (isHard(step)) {
      hard = soon ? hard + step.seconds.typical : step.seconds.typical
      until = endOf(step)
    } else if (soon && hard >= limit('downAfter', band) && isDown(step)) return step
    else if (!soon) hard = 0
  }
  return undefined
}

/** From hard work straight onto the floor: a cool-down exists to keep children from getting dizzy. */
export const straightDown: Rule = {
  id: 'straight-down',
  level: 'note',
  family: 'shape',
  find: (view) =>
    perLane(view, (lane) => {
      const step = downAfter(lane)
      return (
        step && {
          where: { section: step.section, block: step.block, ...(step.station && { station: step.station }) },
          facts: { move: step.doing!.version.name },
        }
      )
    }),
}
