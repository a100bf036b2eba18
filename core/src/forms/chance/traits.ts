import { plainTraits, type FormTraits } from '../../session/plainTraits.ts'
import type { ChanceBlock } from './schema.ts'

/** Chance decides what comes next. */
export const chanceTraits: FormTraits<ChanceBlock> = {
  ...plainTraits,
  dose: 'own',
  faced: true,
  timed: ({ stop, stations }) => stop.kind === 'seconds' && stations.length > 0,
}
