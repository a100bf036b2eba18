/** What a dose counts. For a move done `each` side, a dose is per side. */
export const units = ['reps', 'seconds', 'breaths', 'metres', 'goes', 'score'] as const
export type Unit = (typeof units)[number]
