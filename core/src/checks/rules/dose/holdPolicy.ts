import { limit } from '../../limits.ts'
import { perStepOfStation, type Rule } from '../../rule.ts'

/** A stretch held for less than ten or more than thirty seconds a side. */
export const holdPolicy: Rule = {
  id: 'hold-policy',
  level: 'look',
  family: 'dose',
  find: (view) =>
    perStepOfStation(view, ({ kind, doing, seconds, say }, { band }) => {
      if (kind !== 'work' || doing?.move.family !== 'stretch' || say.params.unit === 'reps') return undefined
      if (doing.move.measures.includes('reps') || say.params.unit === 'breaths') return undefined
      const [least, most] = [limit('holdFrom', band), limit('holdMost', band)]
      // In a game of chance a lane does a share of it: the stated seconds are what is held.
      const { unit, amount } = say.params
      const held = unit === 'seconds' && typeof amount === 'number' ? amount : Math.round(seconds.typical)
      return held < least || held > most
        ? { facts: { move: doing.version.name, seconds: held, least, most } }
        : undefined
    }),
}
