/**
 * The minimum of each value and the `width` values after it.
 *
 * @param width how many following values are included, 0 or more
 * @example slidingMin(Int32Array.of(5, 3, 4, 9), 1) // [3, 3, 4, 9]
 */
export function slidingMin(values: Int32Array, width: number): Int32Array {
  // Windows of 1, 2, 4 … values, each made from two of half its length; the last two overlap as far as needed.
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
