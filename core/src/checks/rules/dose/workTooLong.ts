import { traitsOf } from '../../../session/formTraits.ts'
import { isHard } from '../../hardWork.ts'
import { limit } from '../../limits.ts'
import { perStepOfStation, type Rule } from '../../rule.ts'

/** Timed hard work for longer than attention and form last. */
export const workTooLong: Rule = {
  id: 'work-too-long',
  level: 'note',
  family: 'dose',
  find: (view) =>
    perStepOfStation(view, (step, { band }) => {
      if (!isHard(step)) return undefined
      const place = view.blocks.get(step.block)
      if (!place || !traitsOf(place.block).clock || ['warmUp', 'game'].includes(place.section.role)) return undefined
      const most = limit('workByClock', band)
      return step.seconds.typical > most
        ? { facts: { move: step.doing!.version.name, seconds: step.seconds.typical, most } }
        : undefined
    }),
}
