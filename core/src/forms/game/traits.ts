import { plainTraits, type FormTraits } from '../../session/plainTraits.ts'
import type { GameBlock } from './schema.ts'

/** A game with rules of its own. */
export const gameTraits: FormTraits<GameBlock> = { ...plainTraits }
