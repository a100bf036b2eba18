/** A pulse counted with the fingers, as a rate. */
export interface PulseRate {
  /** Beats a minute. */
  rate: number
  /** How much one beat more or less changes the rate. */
  step: number
}

/**
 * Beats counted with the fingers as a rate, with the resolution of the count.
 *
 * @param beats counted
 * @param seconds counted for
 * @throws {RangeError} for zero seconds
 * @example pulseRate(12, 6) // { rate: 120, step: 10 }
 */
export function pulseRate(beats: number, seconds: number): PulseRate {
  if (!(seconds > 0)) throw new RangeError(`pulseRate: seconds must be above 0, got ${seconds}`)
  return { rate: Math.round((beats * 60) / seconds), step: Math.round(60 / seconds) }
}
