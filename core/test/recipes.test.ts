import { existsSync, readFileSync } from 'node:fs'
import { expect, it } from 'vitest'

const root = new URL('../../', import.meta.url)
const beginnings = ['', 'core/src/', 'web/src/', 'server/src/', 'contract/src/', 'core/src/forms/ladder/', 'core/']
const isThere = (path: string) =>
  beginnings.some((beginning) => existsSync(new URL(beginning + path, root))) ||
  existsSync(new URL(path.replace(/^core\//, 'core/src/'), root))

it('every test that docs/security.md names exists', () => {
  const text = readFileSync(new URL('docs/security.md', root), 'utf8')
  const named = [...new Set([...text.matchAll(/[\w/-]+\.(?:test|spec)\.ts/g)].map(([path]) => path))]
  expect(named.length).toBeGreaterThan(15)
  const paths = named.map((path) => (path.includes('/') ? path : `server/test/${path}`))
  expect(paths.filter((path) => !existsSync(new URL(path, root)))).toEqual([])
})

it.each(['CONTRIBUTING.md', 'docs/architecture.md', 'docs/security.md', 'docs/operations.md'])(
  'every file that %s names exists',
  (page) => {
    const text = readFileSync(new URL(page, root), 'utf8')
    const named = [...text.matchAll(/`([\w./-]+\.(?:ts|vue|mjs|js|json|md))`/g)].map(([, path]) => path!)
    expect(named.length + Number(page !== 'CONTRIBUTING.md')).toBeGreaterThan(0)
    expect(named.filter((path) => path.includes('/') && !isThere(path))).toEqual([])
  },
)
