import { plainTraits, type FormTraits } from '../../session/plainTraits.ts'
import type { AmrapBlock } from './schema.ts'

/** Rounds until the time is over: the child says how many. */
export const amrapTraits: FormTraits<AmrapBlock> = {
  ...plainTraits,
  freeOrder: true,
  comesRound: () => true,
  dose: 'open',
  timed: () => true,
}
