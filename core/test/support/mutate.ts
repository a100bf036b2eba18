/** Values that break naive code: one of each kind. */
const odd: readonly unknown[] = [
  null,
  '',
  '\0',
  'a\0b',
  '\ud800',
  '\u2028',
  '\u202e\u0301'.repeat(40),
  'x'.repeat(5000),
  '0000-01-01T00:00:00Z',
  '9999-99-99T99:99:99Z',
  '+275760-09-13T00:00:00Z',
  "'; drop table workouts; --",
  '../../etc/passwd',
  0,
  -1,
  0.5,
  2 ** 31,
  2 ** 53,
  -(2 ** 63),
  1e308,
  true,
  [],
  {},
  [[[[[[]]]]]],
  { __proto__x: 1, constructor: { prototype: {} } },
  Object.fromEntries([['__proto__', { polluted: true }]]),
]

type Random = () => number
const pick = <T>(random: Random, list: readonly T[]): T => list[Math.floor(random() * list.length)]!

/** Every place in some data, as its container and key. */
function places(data: unknown): { holder: Record<string, unknown>; key: string }[] {
  if (data === null || typeof data !== 'object') return []
  const holder = data as Record<string, unknown>
  return Object.keys(holder).flatMap((key) => [{ holder, key }, ...places(holder[key])])
}

/**
 * Some data as JSON would carry it, damaged in up to three places: a value replaced, removed, doubled or moved, or a key misspelled.
 *
 * @param random from 0 to 1
 */
export function mutated(data: unknown, random: Random): unknown {
  const copy = JSON.parse(JSON.stringify({ data })) as Record<string, unknown>
  for (let n = 1 + Math.floor(random() * 3); n > 0; n--) {
    const all = places(copy)
    const { holder, key } = pick(random, all)
    const value = holder[key]
    switch (Math.floor(random() * 6)) {
      case 0:
        if (holder !== copy) delete holder[key]
        break
      case 1:
        if (Array.isArray(value))
          holder[key] = Array.from({ length: Math.ceil(random() * 300) }, () => value[0] ?? null)
        break
      case 2: {
        const other = pick(random, all)
        holder[key] = JSON.parse(JSON.stringify(other.holder[other.key] ?? null)) as unknown
        break
      }
      case 3:
        if (!Array.isArray(holder) && holder !== copy) holder[`${key}${pick(random, ['', 's', ' ', '\0'])}`] = value
        break
      case 4:
        if (typeof value === 'number') holder[key] = value * pick(random, [-1, 0, 0.1, 10, 1e6, 1e12])
        else if (typeof value === 'string')
          holder[key] = value.slice(0, 3) + pick(random, ['\0', '\ud800', '​', '', value.repeat(50)])
        break
      default:
        holder[key] = JSON.parse(JSON.stringify(pick(random, odd))) as unknown
    }
  }
  // As JSON carries it.
  return (JSON.parse(JSON.stringify(copy)) as { data?: unknown }).data
}
