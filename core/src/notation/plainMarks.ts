/**
 * A text with the marks that keyboards and pens differ in made one: ×, *, en dashes, primes, fraction slashes. Length
 * stays the same, so that columns still point at what was typed.
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
    .replace(/(?<=\d ?)[″"”]/g, 's')
    .replace(/[⁄∕]/g, '/')
    .replace(/[\u00a0\u2009\u202f\t]/g, ' ')
