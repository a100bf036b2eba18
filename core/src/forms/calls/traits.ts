import { plainTraits, type FormTraits } from '../../session/plainTraits.ts'
import type { CallsBlock } from './schema.ts'

/** A caller calls. */
export const callsTraits: FormTraits<CallsBlock> = { ...plainTraits }
