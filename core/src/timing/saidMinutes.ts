import type { Span } from './span.ts'

/**
 * How many minutes a lane takes, as every message, calendar, sheet and list says it: the predicted time, rounded; never none.
 *
 * @param seconds of the whole lane
 * @example saidMinutes({ low: 600, typical: 696, high: 800 }) // 12
 */
export const saidMinutes = ({ typical }: Pick<Span, 'typical'>): number => Math.max(1, Math.round(typical / 60))

/** The minutes of the longest of several lanes, as they are said. @example longestMinutes([{ typical: 696 }, { typical: 912 }]) // 15 */
export const longestMinutes = (lanes: readonly Pick<Span, 'typical'>[]): number =>
  Math.max(1, ...lanes.map(saidMinutes))
