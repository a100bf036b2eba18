import { z } from 'zod'
import { rule } from './problem.ts'

/** Ids inside a document and in the library: a letter, then letters, digits and hyphens, at most 48. */
export const idSchema = z.string().regex(/^[a-z][a-zA-Z0-9-]{0,47}$/, rule('id'))

/**
 * The next free id of a kind: one above the highest number in use.
 *
 * @param prefix the letter of the kind: `g` group, `p` section (part), `b` block, `s` station
 * @example nextId(['s1', 's7', 'b2'], 's') // 's8'
 */
export function nextId(taken: Iterable<string>, prefix: string): string {
  let highest = 0
  for (const id of taken) {
    if (!id.startsWith(prefix)) continue
    const n = Number(id.slice(prefix.length))
    if (Number.isSafeInteger(n) && n > highest) highest = n
  }
  return `${prefix}${highest + 1}`
}
