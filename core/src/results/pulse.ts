/** A pulse counted by fingers, made a rate. */
export interface PulseRate {
  /** Beats a minute. */
  rate: number
  /** One beat more or less changes the rate by so many. */
  step: number
}

/**
 * Beats counted by fingers as a rate, with what the counting can tell apart.
 *
 * @param beats counted
 * @param seconds counted for
 * @throws {RangeError} where no time was counted
 * @example pulseRate(12, 6) // { rate: 120, step: 10 }
 */
export function pulseRate(beats: number, seconds: number): PulseRate {
  if (!(seconds > 0)) throw new RangeError(`pulseRate: seconds must be above 0, got ${seconds}`)
  return { rate: Math.round((beats * 60) / seconds), step: Math.round(60 / seconds) }
}
