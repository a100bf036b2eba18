/** What an amount counts. For an exercise done on each side, it is for each side. */
export const units = ['reps', 'seconds', 'breaths', 'metres', 'goes', 'score'] as const
export type Unit = (typeof units)[number]
