import type { Dose } from '../terms/dose.ts'

/** What a row without a dose is timed at: half a minute. Source: ours. */
export const openDose: Dose = { unit: 'seconds', amount: 30 }
