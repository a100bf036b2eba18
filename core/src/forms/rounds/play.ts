import type { PlayFor } from '../../publication/playFor.ts'
import type { RoundsBlock } from './schema.ts'

/** With a cap, the block ends when the cap is reached. */
export const roundsPlay: PlayFor<RoundsBlock> = ({ cap }, { own }) => cap && { form: 'rounds', seconds: own(cap) }
