import { plainTraits, type FormTraits } from '../../session/plainTraits.ts'
import type { MeasureBlock } from './schema.ts'

/** A measurement takes as long as it takes. */
export const measureTraits: FormTraits<MeasureBlock> = {
  ...plainTraits,
  measured: ({ test, setUp, moment }) => ({ test, setUp, moment }),
}
