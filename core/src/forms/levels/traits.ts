import { plainTraits, type FormTraits } from '../../session/plainTraits.ts'
import type { LevelsBlock } from './schema.ts'

/** Levels for their time. */
export const levelsTraits: FormTraits<LevelsBlock> = { ...plainTraits }
