/**
 * The least of each value and those up to `width` after it.
 *
 * @param width how many values after each are looked at, 0 or more
 * @example slidingMin(Int32Array.of(5, 3, 4, 9), 1) // [3, 3, 4, 9]
 */
export function slidingMin(values: Int32Array, width: number): Int32Array {
  // Stretches of 1, 2, 4 … values, each from two of half its length; the last overlap as far as is needed.
  let least = Int32Array.from(values)
  let covered = 1
  const wanted = Math.min(width + 1, values.length)
  while (covered < wanted) {
    const step = Math.min(covered, wanted - covered)
    const next = Int32Array.from(least)
    for (let i = 0; i + step < values.length; i++) if (least[i + step]! < next[i]!) next[i] = least[i + step]!
    least = next
    covered += step
  }
  return least
}
