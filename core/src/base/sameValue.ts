/**
 * Whether two JSON values are equal, with keys in any order; an undefined key counts as absent.
 *
 * @example sameValue({ a: 1, b: undefined }, { a: 1 }) // true
 */
export function sameValue(a: unknown, b: unknown): boolean {
  if (a === b) return true
  if (a === null || b === null || typeof a !== 'object' || typeof b !== 'object') return false
  if (Array.isArray(a) !== Array.isArray(b)) return false
  const left = a as Record<string, unknown>
  const right = b as Record<string, unknown>
  for (const key in left) if (!sameValue(left[key], right[key])) return false
  for (const key in right) if (right[key] !== undefined && left[key] === undefined) return false
  return true
}
