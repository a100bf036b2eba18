import fc from 'fast-check'
import { expect, it } from 'vitest'
import { lettersApart, nearest } from '../src/base/nearest.ts'
import { nameIndex } from '../src/notation/names.ts'
import { library } from './sessions.ts'

const { names } = nameIndex(library)
const letters = fc.string({ unit: fc.constantFrom(...'abcdeilnopqrstu 0é'), maxLength: 14 })

/** All edits, without a bound and without the letter-count shortcut. */
function apartPlainly(a: string, b: string): number {
  const rows = Array.from({ length: a.length + 1 }, (_, i) =>
    Array.from({ length: b.length + 1 }, (_, j) => (i === 0 ? j : j === 0 ? i : 0)),
  )
  for (let i = 1; i <= a.length; i++)
    for (let j = 1; j <= b.length; j++) {
      const same = a[i - 1] === b[j - 1] ? 0 : 1
      rows[i]![j] = Math.min(rows[i - 1]![j]! + 1, rows[i]![j - 1]! + 1, rows[i - 1]![j - 1]! + same)
      if (i > 1 && j > 1 && a[i - 1] === b[j - 2] && a[i - 2] === b[j - 1])
        rows[i]![j] = Math.min(rows[i]![j]!, rows[i - 2]![j - 2]! + 1)
    }
  return rows[a.length]![b.length]!
}

it('counts letters like the full table, up to its bound', () => {
  fc.assert(
    fc.property(letters, letters, fc.integer({ min: 1, max: 3 }), (a, b, most) => {
      expect(lettersApart(a, b, most)).toBe(Math.min(apartPlainly(a, b), most + 1))
    }),
    { numRuns: 500 },
  )
})

it('misses no similar name', () => {
  const all = [...names.keys()]
  fc.assert(
    fc.property(fc.constantFrom(...all), fc.nat(), fc.constantFrom(...'aeiou rst'), (name, at, letter) => {
      // One typing mistake in a name.
      const i = at % name.length
      const typed = `${name.slice(0, i)}${letter}${name.slice(i + 1)}`.slice(0, 40)
      const most = Math.min(3, Math.max(1, Math.floor(typed.length / 3)))
      const near = all.filter((n) => apartPlainly(typed, n) <= most).map((n) => names.get(n)!)
      const found = nearest(typed, names, all.length)
      for (const named of near) expect(found).toContain(named)
    }),
    { numRuns: 6 },
  )
})
