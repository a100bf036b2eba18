import type { PlayFor } from '../../publication/playFor.ts'
import type { MeasureBlock } from './schema.ts'

/** What is measured is tapped in. */
export const measurePlay: PlayFor<MeasureBlock> = ({ test, trials, moment }, { own }) => ({
  form: 'measure',
  test,
  trials: own(trials),
  moment,
})
