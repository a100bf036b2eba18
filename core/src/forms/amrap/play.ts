import type { PlayFor } from '../../publication/playFor.ts'
import type { AmrapBlock } from './schema.ts'

/** The rounds are the child’s to count. */
export const amrapPlay: PlayFor<AmrapBlock> = ({ stations, cap }, { own, turn }) => ({
  form: 'amrap',
  seconds: own(cap),
  turns: stations.map(turn),
})
