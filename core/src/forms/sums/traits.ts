import { plainTraits, type FormTraits } from '../../session/plainTraits.ts'
import type { SumsBlock } from './schema.ts'

/** A sum says how many. */
export const sumsTraits: FormTraits<SumsBlock> = { ...plainTraits }
