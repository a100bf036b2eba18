import { diff3Merge } from 'node-diff3'

/** Lines both changed: where they are as many as before each by itself, else those that were typed. */
const settled = ({ a, o, b }: { a: string[]; o: string[]; b: string[] }): string[] =>
  a.length === o.length && b.length === o.length ? a.map((line, i) => (line === o[i] ? b[i]! : line)) : a

/**
 * A text typed beside a session that changed meanwhile: what was typed and what was changed there both stand. Where both changed
 * the same lines, what was typed does.
 *
 * @param mine as it was typed
 * @param base the session's text both began with
 * @param theirs the session's text now
 * @example mergeText('a\nb 2\n', 'a\nb\n', 'a 1\nb\n') // 'a 1\nb 2\n'
 */
export function mergeText(mine: string, base: string, theirs: string): string {
  if (base === theirs) return mine
  if (mine === base) return theirs
  const lines = (text: string) => text.split('\n')
  return diff3Merge(lines(mine), lines(base), lines(theirs))
    .flatMap(({ ok, conflict }) => ok ?? (conflict ? settled(conflict) : []))
    .join('\n')
}
