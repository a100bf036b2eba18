import type { PlayFor } from '../../publication/playFor.ts'
import type { LevelsBlock } from './schema.ts'

/** The child reports which level it reached. */
export const levelsPlay: PlayFor<LevelsBlock> = ({ stations, bonus }, { turn }) => ({
  form: 'levels',
  turns: stations.map(turn),
  bonus,
})
