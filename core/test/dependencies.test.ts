import { readdirSync, readFileSync } from 'node:fs'
import { builtinModules } from 'node:module'
import { join } from 'node:path'
import { expect, it } from 'vitest'

const root = new URL('../../', import.meta.url).pathname

function* sources(folder: string): Generator<string> {
  for (const entry of readdirSync(folder, { withFileTypes: true })) {
    const path = join(folder, entry.name)
    if (entry.isDirectory()) yield* sources(path)
    else if (/\.(ts|vue|mjs)$/.test(entry.name) && !/\.d\.ts$/.test(entry.name)) yield path
  }
}

/** Packages that files import at run time: type imports are erased. */
function imported(folder: string): Set<string> {
  const found = new Set<string>()
  for (const file of sources(folder))
    for (const match of readFileSync(file, 'utf8').matchAll(
      /(?:^|\n)\s*import\s+(?!type\b)[^'"]*?from\s+'([^'.][^']*)'|(?:^|[\s(])import\s*\(?\s*'([^'.][^']*)'/g,
    )) {
      const [first = '', second = ''] = (match[1] ?? match[2]!).split('/')
      found.add(first.startsWith('@') ? `${first}/${second}` : first)
    }
  return found
}
const builtIn = (name: string) => name.startsWith('node:') || builtinModules.includes(name)
/** Created by the builder, and imports of the workspace itself. */
const virtual = (name: string) => /^(virtual:|@esfuerzo\/)/.test(name)

it.each(['core', 'contract', 'plans', 'cli', 'server', 'web'])('%s imports only its dependencies', (workspace) => {
  const { dependencies = {} } = JSON.parse(readFileSync(join(root, workspace, 'package.json'), 'utf8')) as {
    dependencies?: Record<string, string>
  }
  const missing = [...imported(join(root, workspace, 'src'))].filter(
    (name) => !builtIn(name) && !virtual(name) && !(name in dependencies),
  )
  expect(missing).toEqual([])
})
