/** Unreachable; twice this still fits a 32-bit number. */
export const far = 1 << 30

/**
 * The least cost of visiting every subset of some stations, by the last one: at index subset × stations + station (Held & Karp 1962, J SIAM
 * 10:196).
 *
 * @param near cost from one station to the next
 * @param begin cost of starting with a station; `far` if it may not start
 * @param price extra cost of a station at a place, `far` if it may not be there; nothing by default
 */
export function fillTable(
  near: readonly Int32Array[],
  begin: readonly number[],
  price?: readonly Int32Array[],
): Int32Array {
  const m = begin.length
  const table = new Int32Array(2 ** m * m).fill(far)
  begin.forEach((cost, i) => (table[(1 << i) * m + i] = cost))
  const inside = new Int32Array(m)
  for (let subset = 1; subset < 2 ** m; subset++) {
    let size = 0
    for (let i = 0; i < m; i++) if (subset & (1 << i)) inside[size++] = i
    if (size < 2) continue
    for (let a = 0; a < size; a++) {
      const j = inside[a]!
      const own = price ? price[j]![size - 1]! : 0
      if (own === far) continue
      const row = near[j]!
      const from = (subset ^ (1 << j)) * m
      // The last station itself is unreachable in the subset without it.
      let least = far
      for (let b = 0; b < size; b++) {
        const i = inside[b]!
        const cost = table[from + i]! + row[i]!
        if (cost < least) least = cost
      }
      if (least < far) table[subset * m + j] = least + own
    }
  }
  return table
}
