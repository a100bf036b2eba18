import { lowestGrade } from '../../terms/group.ts'
import { capFor, setUpOf } from '../../terms/testValue.ts'
import type { PlayFor } from '../../publication/playFor.ts'
import type { MeasureBlock } from './schema.ts'

/** Measured values are typed in, in the test's own steps. */
export const measurePlay: PlayFor<MeasureBlock> = ({ test, trials, moment, setUp }, { group, library, own }) => {
  const measure = library.measures.get(test)!
  const cap = capFor(measure, lowestGrade(group))
  return {
    form: 'measure',
    test,
    trials: own(trials),
    moment,
    setUp: setUpOf(measure, setUp).id,
    ...(cap !== undefined && { cap }),
  }
}
