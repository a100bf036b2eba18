/** A cell as its teacher saw it: a date as a date, a time as a time, a number as a calculator shows it. */
export function cellText(cell: unknown): string {
  if (cell === null || cell === undefined) return ''
  if (cell instanceof Date) return dayOrTime(cell)
  // Rounding errors of arithmetic are nobody's value.
  if (typeof cell === 'number') return String(Number(cell.toPrecision(12)))
  return typeof cell === 'string' || typeof cell === 'boolean' ? String(cell) : ''
}

/** A time of day is stored as a moment on the spreadsheet's first date; a duration looks the same. */
function dayOrTime(cell: Date): string {
  const iso = cell.toISOString()
  if (cell.getUTCFullYear() > 1904) return iso.slice(0, 10)
  return iso
    .slice(11, 19)
    .replace(/^00:/, '')
    .replace(/:00$/, (seconds) => (iso.startsWith('00', 11) ? seconds : ''))
}
