/** Seconds a step takes: for a quick, a usual and a slow child. By the clock all three are equal. */
export interface Span {
  low: number
  typical: number
  high: number
}

/**
 * Rounds to the nearest whole number, halves up.
 *
 * @example roundHalfUp(2.5) // 3
 */
export const roundHalfUp = (n: number): number => Math.floor(n + 0.5)

const clockedSpans: Span[] = []

/** A timed duration. Spans are never changed, so equal ones share one object: a timeline has hundreds. */
export const clocked = (seconds: number): Span => {
  const whole = roundHalfUp(seconds)
  return (clockedSpans[whole] ??= Object.freeze({ low: whole, typical: whole, high: whole }))
}

/** The sum of spans, if quick and slow children do all of them. */
export const addSpan = (sum: Span, more: Span): Span => ({
  low: sum.low + more.low,
  typical: sum.typical + more.typical,
  high: sum.high + more.high,
})

export const noTime: Span = Object.freeze({ low: 0, typical: 0, high: 0 })
