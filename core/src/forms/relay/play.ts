import type { PlayFor } from '../../publication/playFor.ts'
import type { RelayBlock } from './schema.ts'

/** Shows whose turn it is. */
export const relayPlay: PlayFor<RelayBlock> = ({ stations }, { turn }) => ({ form: 'relay', turns: stations.map(turn) })
