/** The format name of a run's document and the version a device writes: separate from its schema, which a phone does not load. */
export const runFormat = 'esfuerzo.run'
export const runVersion = 3
/** Most counted steps a run carries: those of a long session. Later ones are left out. */
export const mostCountedSteps = 600

/**
 * A run as a device writes it: in the previous version if that can express all of it, so that a server one release behind accepts it.
 *
 * @example writtenRun({ …run, version: 3 }).version // 2
 */
export const writtenRun = <R extends { movedMinutes?: number | undefined }>(run: R): Record<string, unknown> =>
  run.movedMinutes === undefined ? { ...run, version: 2 } : { ...run }
