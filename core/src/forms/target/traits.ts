import { plainTraits, type FormTraits } from '../../session/plainTraits.ts'
import type { TargetBlock } from './schema.ts'

/** Throws at a target: the child writes the points down. */
export const targetTraits: FormTraits<TargetBlock> = { ...plainTraits }
