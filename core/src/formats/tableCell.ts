/** Characters that start a formula in a spreadsheet, also in full width (https://owasp.org/www-community/attacks/CSV_Injection). */
const signs = '=+\\-@\uff1d\uff0b\uff0d\uff20'
/** What a spreadsheet reads as a formula at the start of a cell. */
export const formulaStart = new RegExp(`^[${signs}\\t\\r]`)
/** If a table is read with another separator, a cell may start in the middle of one of ours. */
const inside = new RegExp(`([;,\\t|]\\s*)(?=[${signs}])`, 'g')

/**
 * A text as a table cell in which no spreadsheet finds a formula, whatever separator it uses. Numbers stay numbers.
 *
 * @example tableCell('=1+1') // "'=1+1"
 * @example tableCell('a;=1+1') // "a;'=1+1"
 */
export function tableCell<T>(value: T): T | string {
  if (typeof value !== 'string') return value
  const whole = value.replace(inside, "$1'")
  return formulaStart.test(whole.trimStart()) || formulaStart.test(whole) ? `'${whole}` : whole
}
