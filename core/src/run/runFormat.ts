/** What a run's document calls itself. */
export const runFormat = 'esfuerzo.run'
