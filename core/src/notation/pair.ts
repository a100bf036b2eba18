const pair = String.raw`\d{1,4}\s*(?:s|secs?)?\s*\/\s*\d{1,4}\s*(?:s|secs?)?`
const whole = new RegExp(`^${pair}$`, 'i')
const atEnd = new RegExp(`(?<!\\d)${pair}$`, 'i')

/**
 * Whether a piece of a line continues the piece before it: consecutive pairs of work and rest are one fact, one pair per lap.
 *
 * @example goesOnPairs('3 laps 30/30', '60/45') // true
 */
export const goesOnPairs = (before: string, text: string): boolean => atEnd.test(before) && whole.test(text)
