/** Signs that begin a formula in a spreadsheet, at their own and at full width (https://owasp.org/www-community/attacks/CSV_Injection). */
const signs = '=+\\-@\uff1d\uff0b\uff0d\uff20'
/** What a spreadsheet takes for a formula at the beginning of a cell. */
export const formulaStart = new RegExp(`^[${signs}\\t\\r]`)
/** Where a table is read with another separator, a cell may begin in the middle of one of ours. */
const inside = new RegExp(`([;,\\t|]\\s*)(?=[${signs}])`, 'g')

/**
 * A text as a cell of a table, in which no spreadsheet finds a formula, whatever it takes for the end of a cell. Numbers stay numbers.
 *
 * @example tableCell('=1+1') // "'=1+1"
 * @example tableCell('a;=1+1') // "a;'=1+1"
 */
export function tableCell<T>(value: T): T | string {
  if (typeof value !== 'string') return value
  const whole = value.replace(inside, "$1'")
  return formulaStart.test(whole.trimStart()) || formulaStart.test(whole) ? `'${whole}` : whole
}
