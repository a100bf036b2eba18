/** What a run's document calls itself, and the version a device writes: apart from its schema, which a phone does not fetch. */
export const runFormat = 'esfuerzo.run'
export const runVersion = 2
/** So many counted steps a run carries: those of a long session. What comes after is left out. */
export const mostCountedSteps = 600
