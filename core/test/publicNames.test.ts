import { readdirSync, readFileSync } from 'node:fs'
import { dirname, join } from 'node:path'
import { fileURLToPath } from 'node:url'
import { expect, it } from 'vitest'

const root = dirname(dirname(dirname(fileURLToPath(import.meta.url))))
const read = (file: string) => readFileSync(join(root, file), 'utf8')
/** Names in the brackets of an import or export, as they are there. */
const namesIn = (list: string): string[] =>
  list
    .split(',')
    .map((name) => name.trim().replace(/^type /, ''))
    .filter(Boolean)
const filesOf = (folder: string): string[] =>
  readdirSync(join(root, folder), { recursive: true, encoding: 'utf8' })
    .filter((file) => /\.(?:ts|vue|mts)$/.test(file) && !/(?:^|\/)(?:node_modules|dist)\//.test(file))
    .map((file) => join(folder, file))

/** What others may ask the computation for, list by list. */
const lists = [
  ['@esfuerzo/core', 'core/src/index.ts'] as const,
  ...readdirSync(join(root, 'core/src/public')).map(
    (file) => [`@esfuerzo/core/${file.replace('.ts', '')}`, join('core/src/public', file)] as const,
  ),
]
/** Types that stand in what is asked for, so that a compiler has to name them. */
const namedOnly = ['@esfuerzo/core MovesFile']

it('every name the core exports is imported somewhere', () => {
  const folders = [
    ...[
      'contract/src',
      'library/test',
      'plans/src',
      'plans/test',
      'server/src',
      'server/test',
      'web/src',
      'web/family',
    ],
    ...['web/test', 'cli/src', 'e2e', 'bench', 'faults', 'core/test'],
  ]
  const asked = new Set(
    [...folders.flatMap(filesOf), 'library/index.ts']
      .flatMap((file) => [...read(file).matchAll(/import (?:type )?\{([^}]*)\} from '(@esfuerzo\/core(?:\/\w+)?)'/g)])
      .flatMap(([, list, from]) => namesIn(list!).map((name) => `${from} ${name.split(' as ')[0]}`)),
  )
  const offered = lists.flatMap(([from, file]) =>
    [...read(file).matchAll(/export (?:type )?\{([^}]*)\}/g)].flatMap(([, list]) =>
      namesIn(list!).map((name) => `${from} ${name.split(' as ').at(-1)}`),
    ),
  )
  expect(offered.length).toBeGreaterThan(500)
  expect(offered.filter((name) => !asked.has(name) && !namedOnly.includes(name))).toEqual([])
})
