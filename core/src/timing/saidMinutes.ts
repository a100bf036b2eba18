import type { Span } from './span.ts'

/**
 * A lane's minutes as every message, calendar, sheet and list shows them: the predicted time, rounded; at least one.
 *
 * @param seconds of the whole lane
 */
export const saidMinutes = ({ typical }: Pick<Span, 'typical'>): number => Math.max(1, Math.round(typical / 60))

/** The minutes of the longest of several lanes, as they are said. @example longestMinutes([{ typical: 696 }, { typical: 912 }]) // 15 */
export const longestMinutes = (lanes: readonly Pick<Span, 'typical'>[]): number =>
  Math.max(1, ...lanes.map(saidMinutes))
