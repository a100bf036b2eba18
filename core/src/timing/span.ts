/** Seconds a step takes: for a quick child, for most, for a slow one. By the clock all three are the same. */
export interface Span {
  low: number
  typical: number
  high: number
}

/**
 * To the nearest whole number, halves up.
 *
 * @example roundHalfUp(2.5) // 3
 */
export const roundHalfUp = (n: number): number => Math.floor(n + 0.5)

const clockedSpans: Span[] = []

/** A stretch on the clock. Spans are never changed, so equal ones are the same object: a timeline has hundreds. */
export const clocked = (seconds: number): Span => {
  const whole = roundHalfUp(seconds)
  return (clockedSpans[whole] ??= Object.freeze({ low: whole, typical: whole, high: whole }))
}

/** The sum of spans, as quick and slow children doing all of it. */
export const addSpan = (sum: Span, more: Span): Span => ({
  low: sum.low + more.low,
  typical: sum.typical + more.typical,
  high: sum.high + more.high,
})

export const noTime: Span = Object.freeze({ low: 0, typical: 0, high: 0 })
