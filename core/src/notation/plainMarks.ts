/**
 * A text with typographic variants unified: ×, *, en dashes, primes, fraction slashes. The length stays the same, so that columns still
 * point at what was typed.
 *
 * @example plainMarks('3×30″') // '3x30s'
 */
export const plainMarks = (text: string): string => (unusual.test(text) ? replaced(text) : text)

/** Most lines have nothing to replace. */
const unusual = /[*"\t]|[^\x00-\x7f]/

const replaced = (text: string) =>
  text
    .replace(/[×✕✖*]/g, 'x')
    .replace(/[‐‑‒–—−]/g, '-')
    .replace(/["″”]/g, secondsMark())
    .replace(/[⁄∕]/g, '/')
    .replace(/[\u00a0\u2009\u202f\t]/g, ' ')

/** A mark for seconds after a number; one that opens or closes a quoted name is none. */
function secondsMark(): (mark: string, at: number, text: string) => string {
  let quoted = false
  return (mark, at, text) => {
    const opens = /[\ue000-\uf8ff]/.test(text[at + 1] ?? '')
    if (!quoted && !opens && /\d ?$/.test(text.slice(Math.max(0, at - 2), at))) return 's'
    if (mark === '"') quoted = !quoted
    return mark
  }
}
