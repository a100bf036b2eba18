import { existsSync, readdirSync, readFileSync } from 'node:fs'
import { dirname, join, relative } from 'node:path'
import { fileURLToPath } from 'node:url'
import { expect, it } from 'vitest'
import { circlesOf, type Import } from './support/circles.ts'
import { floorOf, floors } from '../../web/floors.js'

const root = fileURLToPath(new URL('../../web/src', import.meta.url))
const files = readdirSync(root, { recursive: true, encoding: 'utf8' }).filter((f) => /\.(?:ts|vue)$/.test(f))
const imports: Import[] = files.flatMap((from) =>
  [...readFileSync(join(root, from), 'utf8').matchAll(/(?:from|import)\s*\(?\s*'(\.[^']+\.(?:ts|vue))'/g)]
    .map(([, way]): Import => [from, relative(root, join(root, dirname(from), way!))])
    .filter(([, to]) => existsSync(join(root, to))),
)
const between = (arrows: readonly Import[]): Import[] => arrows.map(([from, to]) => [floorOf(from)!, floorOf(to)!])

it('every file of the pages is on a layer, and imports only from layers below it', () => {
  const order = floors.map(([name]) => name!)
  expect(files.filter((f) => !order.includes(floorOf(f)!))).toEqual([])
  expect(new Set(files.map(floorOf))).toEqual(new Set(order))
  expect(imports.length).toBeGreaterThan(400)
  const at = (file: string) => order.indexOf(floorOf(file)!)
  expect(imports.filter(([from, to]) => at(to) > at(from))).toEqual([])
})

it('no layer of the pages imports itself in a cycle; a planted cycle is found', () => {
  expect(circlesOf(between(imports))).toEqual([])
  const planted: Import = ['shared/client.ts', 'compose/ComposePage.vue']
  expect(circlesOf(between([...imports, planted]))).toEqual(expect.arrayContaining(['compose', 'shared']))
})
