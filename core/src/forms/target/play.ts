import type { PlayFor } from '../../publication/playFor.ts'
import type { TargetBlock } from './schema.ts'

/** The points are written down. */
export const targetPlay: PlayFor<TargetBlock> = ({ targets, throws }, { own }) => ({
  form: 'target',
  targets,
  throws: own(throws),
})
