import { readdirSync, readFileSync } from 'node:fs'
import { dirname, join, relative } from 'node:path'
import { fileURLToPath } from 'node:url'
import { expect, it } from 'vitest'
import { floorOf, floors } from '../floors.js'

const root = fileURLToPath(new URL('../src', import.meta.url))
const files = readdirSync(root, { recursive: true, encoding: 'utf8' }).filter((f) => f.endsWith('.ts'))
type Import = [from: string, to: string]
const imports: Import[] = files.flatMap((from) =>
  [...readFileSync(join(root, from), 'utf8').matchAll(/from '(\.[^']+)'/g)].map(([, way]): Import => [
    from,
    relative(root, join(root, dirname(from), way!)),
  ]),
)

/** Things that lead back to themselves, along the arrows; none where there is no circle. */
function circlesOf(arrows: readonly Import[]): string[] {
  const next = new Map<string, Set<string>>()
  for (const [from, to] of arrows) if (from !== to) (next.get(from) ?? next.set(from, new Set()).get(from)!).add(to)
  const reached = (start: string): Set<string> => {
    const seen = new Set<string>()
    const open = [...(next.get(start) ?? [])]
    for (let at = open.pop(); at !== undefined; at = open.pop()) {
      if (seen.has(at)) continue
      seen.add(at)
      open.push(...(next.get(at) ?? []))
    }
    return seen
  }
  return [...next.keys()].filter((name) => reached(name).has(name)).sort()
}
/** What stands above all floors is its own. */
const place = (file: string): string => floorOf(file) ?? file
const between = (arrows: readonly Import[]): Import[] => arrows.map(([from, to]) => [place(from), place(to)])

it('every folder is a floor, and each imports only from those below it, by value or by type', () => {
  const order = floors.map(([name]) => name!)
  const inside = files.filter((f) => f.includes('/'))
  expect(inside.filter((f) => !order.includes(place(f)))).toEqual([])
  expect(new Set(inside.filter((f) => !f.startsWith('forms/')).map(place))).toEqual(new Set(order))
  const at = (file: string) => order.indexOf(place(file))
  const up = imports.filter(([from, to]) => at(from) >= 0 && (at(to) < 0 || at(to) > at(from)))
  expect(up).toEqual([])
})

it('no file and no folder leads back to itself; a circle that is planted is found', () => {
  expect(circlesOf(imports)).toEqual([])
  expect(circlesOf(between(imports))).toEqual([])
  const planted: Import = ['session/schema.ts', 'fit/fit.ts']
  expect(circlesOf(between([...imports, planted]))).toEqual(expect.arrayContaining(['fit', 'session', 'timing']))
  expect(
    circlesOf([
      ['a', 'b'],
      ['b', 'a'],
    ]),
  ).toEqual(['a', 'b'])
})
