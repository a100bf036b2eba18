import { costs, numberLever, type LeversFor } from '../../fit/lever.ts'
import type { TalkBlock } from './schema.ts'

const shorter = numberLever<'talk'>(
  'talk',
  costs.talk,
  (b) => b.seconds,
  (b, value) => ({ ...b, seconds: value }),
  // Only shorter: more talk is no way to fill a session.
  { step: 15, least: 15, most: 0 },
)

/** How long is talked. */
export const talkLevers: LeversFor<TalkBlock> = () => [shorter]
