import type { PlayFor } from '../../publication/playFor.ts'
import type { RelayBlock } from './schema.ts'

/** Whose turn it is, is shown. */
export const relayPlay: PlayFor<RelayBlock> = ({ stations }, { turn }) => ({ form: 'relay', turns: stations.map(turn) })
