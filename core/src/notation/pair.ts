const pair = String.raw`\d{1,4}\s*(?:s|secs?)?\s*\/\s*\d{1,4}\s*(?:s|secs?)?`
const whole = new RegExp(`^${pair}$`, 'i')
const atEnd = new RegExp(`(?<!\\d)${pair}$`, 'i')

/**
 * Whether a piece of a line goes on what the piece before it says: pairs of work and rest one after the other are one fact, a pair
 * a lap.
 *
 * @example goesOnPairs('3 laps 30/30', '60/45') // true
 */
export const goesOnPairs = (before: string, text: string): boolean => atEnd.test(before) && whole.test(text)
