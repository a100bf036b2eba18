import type { PlayFor } from '../../publication/playFor.ts'
import type { AmrapBlock } from './schema.ts'

/** The child counts the rounds. */
export const amrapPlay: PlayFor<AmrapBlock> = ({ stations, cap }, { own, turn }) => ({
  form: 'amrap',
  seconds: own(cap),
  turns: stations.map(turn),
})
