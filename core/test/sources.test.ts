import { readFileSync } from 'node:fs'
import { expect, it } from 'vitest'
import { checksPage } from './checksPage.ts'
import { sourcesPage } from './sourcesPage.ts'

it('docs/sources.md is what the tables say (npm run sources makes it anew)', () => {
  expect(readFileSync('docs/sources.md', 'utf8')).toBe(sourcesPage())
})

it('docs/checks.md is what the rules and their limits say (npm run checks makes it anew)', () => {
  expect(readFileSync('docs/checks.md', 'utf8')).toBe(checksPage())
})
