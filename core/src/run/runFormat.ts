/** What a run's document calls itself, and the version a device writes: apart from its schema, which a phone does not fetch. */
export const runFormat = 'esfuerzo.run'
export const runVersion = 3
/** So many counted steps a run carries: those of a long session. What comes after is left out. */
export const mostCountedSteps = 600

/**
 * A run as a device writes it: as the version before where that says all of it, so that a server of the release before takes it.
 *
 * @example writtenRun({ …run, version: 3 }).version // 2
 */
export const writtenRun = <R extends { movedMinutes?: number | undefined }>(run: R): Record<string, unknown> =>
  run.movedMinutes === undefined ? { ...run, version: 2 } : { ...run }
