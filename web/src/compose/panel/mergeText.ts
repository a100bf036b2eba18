import { diff3Merge } from 'node-diff3'

/** Lines changed on both sides: the typed ones stay, the session's are reported. */
export interface Clash {
  mine: string
  theirs: string
}
export interface Merged {
  text: string
  clashes: Clash[]
}

/** Lines changed on both sides: merged one by one if their number is unchanged, otherwise the typed ones stay. */
function settled({ a, o, b }: { a: string[]; o: string[]; b: string[] }): { lines: string[]; clashes: Clash[] } {
  if (a.length !== o.length || b.length !== o.length)
    return { lines: a, clashes: [{ mine: a.join('\n'), theirs: b.join('\n') }] }
  const both = (i: number) => a[i] !== o[i] && b[i] !== o[i] && a[i] !== b[i]
  return {
    lines: a.map((line, i) => (line === o[i] ? b[i]! : line)),
    clashes: a.flatMap((mine, i) => (both(i) ? [{ mine, theirs: b[i]! }] : [])),
  }
}

/**
 * Merges a text with a session that changed meanwhile: both changes are kept. If both changed the same lines, the typed ones win, and the
 * session's are reported.
 *
 * @param mine the typed text
 * @param base the session's text both started from
 * @param theirs the session's text now
 * @example mergeText('a\nb 2\n', 'a\nb\n', 'a 1\nb\n').text // 'a 1\nb 2\n'
 */
export function mergeText(mine: string, base: string, theirs: string): Merged {
  if (base === theirs) return { text: mine, clashes: [] }
  if (mine === base) return { text: theirs, clashes: [] }
  const lines = (text: string) => text.split('\n')
  const parts = diff3Merge(lines(mine), lines(base), lines(theirs)).map(({ ok, conflict }) =>
    conflict ? settled(conflict) : { lines: ok ?? [], clashes: [] },
  )
  return { text: parts.flatMap((p) => p.lines).join('\n'), clashes: parts.flatMap((p) => p.clashes) }
}
