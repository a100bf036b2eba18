import { plainTraits, type FormTraits } from '../../session/plainTraits.ts'
import type { MeasureBlock } from './schema.ts'

/** A measurement has no fixed length. */
export const measureTraits: FormTraits<MeasureBlock> = {
  ...plainTraits,
  measured: ({ test, setUp, moment }) => ({ test, setUp, moment }),
}
