/**
 * How many letters must be inserted, deleted, changed or swapped with a neighbor to turn one text into the other (optimal string
 * alignment). Stops above a bound, so that the time is proportional to the text.
 *
 * @param most larger distances return `most + 1`
 * @example lettersApart('plnak', 'plank', 3) // 1
 */
export function lettersApart(a: string, b: string, most: number): number {
  if (Math.abs(a.length - b.length) > most) return most + 1
  let before = new Uint16Array(b.length + 1)
  let row = Uint16Array.from({ length: b.length + 1 }, (_, j) => j)
  let next = new Uint16Array(b.length + 1)
  for (let i = 1; i <= a.length; i++) {
    next[0] = i
    let least = i
    for (let j = 1; j <= b.length; j++) {
      const same = a[i - 1] === b[j - 1]
      let cost = Math.min(row[j]! + 1, next[j - 1]! + 1, row[j - 1]! + (same ? 0 : 1))
      if (i > 1 && j > 1 && a[i - 1] === b[j - 2] && a[i - 2] === b[j - 1]) cost = Math.min(cost, before[j - 2]! + 1)
      next[j] = cost
      if (cost < least) least = cost
    }
    if (least > most) return most + 1
    ;[before, row, next] = [row, next, before]
  }
  return Math.min(row[b.length]!, most + 1)
}

/** Which letters a text has, one bit each; all characters outside a to z share the last bits. */
function letterSet(text: string): number {
  let set = 0
  for (let i = 0; i < text.length; i++) {
    const letter = text.charCodeAt(i) - 97
    set |= 1 << (letter >= 0 && letter < 26 ? letter : 26 + (text.charCodeAt(i) % 5))
  }
  return set
}

function bits(set: number): number {
  let count = 0
  for (let rest = set; rest !== 0; rest &= rest - 1) count++
  return count
}

const letterSets = new WeakMap<ReadonlyMap<string, unknown>, Uint32Array>()

/** The letters of every name in sorted order, computed once. */
function setsOf(names: ReadonlyMap<string, unknown>): Uint32Array {
  let sets = letterSets.get(names)
  if (!sets) {
    sets = Uint32Array.from(names.keys(), letterSet)
    letterSets.set(names, sets)
  }
  return sets
}

/** How many letters of a typed name are compared. */
const longest = 40

/**
 * The names most similar to a typed one: first those that contain all its words, then the fewest letters apart.
 *
 * @param names in plain form, with what each refers to
 * @param count at most this many
 */
export function nearest<T>(typed: string, names: ReadonlyMap<string, T>, count: number): T[] {
  // Anything longer than any name is a sentence; its words may still be names.
  const short = typed.slice(0, longest)
  const most = Math.min(3, Math.max(1, Math.floor(short.length / 3)))
  const words = short.split(' ').filter((w) => w.length > 2)
  const sets = setsOf(names)
  const own = letterSet(short)
  const ranked: { value: T; rank: number }[] = []
  let i = 0
  for (const [name, value] of names) {
    const set = sets[i++]!
    const holds = words.some((w) => name.includes(w))
    // Every letter that only one of them has must be changed.
    const near = bits(own & ~set) <= most && bits(set & ~own) <= most
    const apart = near ? lettersApart(short, name, most) : most + 1
    if (apart <= most) ranked.push({ value, rank: apart })
    else if (holds) ranked.push({ value, rank: most + 1 + Math.abs(name.length - short.length) / 100 })
  }
  ranked.sort((a, b) => a.rank - b.rank)
  return [...new Set(ranked.map((r) => r.value))].slice(0, count)
}
