import { readdirSync, readFileSync } from 'node:fs'
import { dirname, join, relative } from 'node:path'
import { fileURLToPath } from 'node:url'
import { expect, it } from 'vitest'
import { circlesOf, type Import } from './support/circles.ts'
import { floors } from '../../server/floors.js'

const root = fileURLToPath(new URL('../../server/src', import.meta.url))
const files = readdirSync(root, { recursive: true, encoding: 'utf8' }).filter((f) => f.endsWith('.ts'))
const imports: Import[] = files.flatMap((from) =>
  [...readFileSync(join(root, from), 'utf8').matchAll(/(?:from|import)\s*\(?\s*'(\.[^']+\.ts)'/g)]
    .map(([, way]): Import => [from, relative(root, join(root, dirname(from), way!))])
    // Migrations lie beside the source.
    .filter(([, to]) => !to.startsWith('..')),
)
/** A folder; what lies in none is its own. */
const place = (file: string): string => file.split('/')[0]!
const between = (arrows: readonly Import[]): Import[] => arrows.map(([from, to]) => [place(from), place(to)])

it('every folder of the server is a layer, and imports only from layers below it', () => {
  const order = floors.map(([name]) => name!)
  expect(new Set(files.filter((f) => f.includes('/')).map(place))).toEqual(new Set(order))
  expect(imports.length).toBeGreaterThan(300)
  const at = (file: string) => order.indexOf(place(file))
  expect(imports.filter(([from, to]) => at(from) >= 0 && (at(to) < 0 || at(to) > at(from)))).toEqual([])
})

it('no file or folder of the server imports itself in a cycle; a planted cycle is found', () => {
  expect(circlesOf(imports)).toEqual([])
  expect(circlesOf(between(imports))).toEqual([])
  const planted: Import = ['http/health.ts', 'runs/store.ts']
  expect(circlesOf(between([...imports, planted]))).toEqual(expect.arrayContaining(['http', 'runs']))
})
