import { readdirSync, readFileSync } from 'node:fs'
import { dirname, join, relative } from 'node:path'
import { fileURLToPath } from 'node:url'
import { expect, it } from 'vitest'
import { floorOf, floors } from '../floors.js'
import { circlesOf, type Import } from './support/circles.ts'

const root = fileURLToPath(new URL('../src', import.meta.url))
const files = readdirSync(root, { recursive: true, encoding: 'utf8' }).filter((f) => f.endsWith('.ts'))
const imports: Import[] = files.flatMap((from) =>
  [...readFileSync(join(root, from), 'utf8').matchAll(/from '(\.[^']+)'/g)].map(([, way]): Import => [
    from,
    relative(root, join(root, dirname(from), way!)),
  ]),
)

/** A file above all layers is a layer of its own. */
const place = (file: string): string => floorOf(file) ?? file
const between = (arrows: readonly Import[]): Import[] => arrows.map(([from, to]) => [place(from), place(to)])

it('every folder is a layer, and imports only from layers below it, by value or by type', () => {
  const order = floors.map(([name]) => name!)
  const inside = files.filter((f) => f.includes('/'))
  expect(inside.filter((f) => !order.includes(place(f)))).toEqual([])
  expect(new Set(inside.filter((f) => !f.startsWith('forms/')).map(place))).toEqual(new Set(order))
  const at = (file: string) => order.indexOf(place(file))
  const up = imports.filter(([from, to]) => at(from) >= 0 && (at(to) < 0 || at(to) > at(from)))
  expect(up).toEqual([])
})

it('no file or folder imports itself in a cycle; a planted cycle is found', () => {
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
