/** A cell as its teacher saw it: a day as a day, a time as a time, a number as a calculator shows it. */
export function cellText(cell: unknown): string {
  if (cell === null || cell === undefined) return ''
  if (cell instanceof Date) return dayOrTime(cell)
  // What arithmetic left behind is nobody's value.
  if (typeof cell === 'number') return String(Number(cell.toPrecision(12)))
  return typeof cell === 'string' || typeof cell === 'boolean' ? String(cell) : ''
}

/** A time of day is a day of the year in which such counting begins; a stretch of time looks alike. */
function dayOrTime(cell: Date): string {
  const iso = cell.toISOString()
  if (cell.getUTCFullYear() > 1904) return iso.slice(0, 10)
  return iso
    .slice(11, 19)
    .replace(/^00:/, '')
    .replace(/:00$/, (seconds) => (iso.startsWith('00', 11) ? seconds : ''))
}
