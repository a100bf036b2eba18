import type { Dose } from '../terms/dose.ts'

/** The time of a row without a dose: half a minute. Source: ours. */
export const openDose: Dose = { unit: 'seconds', amount: 30 }
