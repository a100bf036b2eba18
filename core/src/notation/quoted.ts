import { plainMarks } from './plainMarks.ts'

/** A line in plain marks whose quoted names are hidden, and the quoted text as typed. */
export interface Hidden {
  text: string
  quoted: readonly string[]
}

/** The first of the characters that replace a quote, one for each. Unicode's private use: nobody types them. */
const first = 0xe000
const most = 6400
const hiddenName = /"(([\ue000-\uf8ff])\2*)"/u

/**
 * A line with its quoted names hidden: numbers, commas, colons and brackets in them mean nothing. The length stays the same, so that
 * columns still point at what was typed.
 *
 * @example hideQuoted('2: "Zorb, 3×" 4').quoted // ['Zorb, 3×']
 */
export function hideQuoted(raw: string): Hidden {
  const quoted: string[] = []
  let text = ''
  for (let i = 0; i < raw.length;) {
    const end = opensQuote(raw, i) && quoted.length < most ? endOfQuote(raw, i) : -1
    if (end < 0) {
      text += /[\ue000-\uf8ff]/.test(raw[i]!) ? '\ufffd' : raw[i]!
      i++
      continue
    }
    text += `"${String.fromCharCode(first + quoted.length).repeat(end - i - 1)}"`
    quoted.push(raw.slice(i + 1, end))
    i = end + 1
  }
  return { text: plainMarks(text), quoted }
}

/** Where the quote that opens at `at` ends; −1 if it is empty or never ends. */
function endOfQuote(text: string, at: number): number {
  const end = text.slice(at + 1).search(/["”]/) + at + 1
  return end > at && text.slice(at + 1, end).trim() ? end : -1
}

/** Whether a mark opens a name: one after a number means seconds. */
function opensQuote(text: string, at: number): boolean {
  if (text[at] === '“') return true
  if (text[at] !== '"' || /\d$/.test(text.slice(0, at))) return false
  return !/\d $/.test(text.slice(Math.max(0, at - 2), at)) || /\p{L}/u.test(text[at + 1] ?? '')
}

/** The first quoted name of a hidden text, and what is before and after it. */
export function quotedIn(
  text: string,
  quoted: readonly string[],
): { name: string; before: string; after: string } | undefined {
  const match = hiddenName.exec(text)
  if (!match) return undefined
  const name = quoted[match[2]!.charCodeAt(0) - first]
  if (name === undefined) return undefined
  return { name, before: text.slice(0, match.index), after: text.slice(match.index + match[0].length) }
}

/** A name in quotes, with its own quotes replaced. @example inQuotes('The "big" one') // '"The \'big\' one"' */
export const inQuotes = (name: string): string => `"${name.replace(/["“”]/g, "'")}"`

/** The original of a hidden text, except for its marks. */
export const shown = (text: string, quoted: readonly string[]): string => {
  const found = quotedIn(text, quoted)
  return found ? `${found.before}"${found.name}"${shown(found.after, quoted)}` : text
}
