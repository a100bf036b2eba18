import { readFileSync } from 'node:fs'
import { expect, it } from 'vitest'
import { sourcesPage } from './sourcesPage.ts'

it('docs/sources.md is what the tables say (npm run sources makes it anew)', () => {
  expect(readFileSync('docs/sources.md', 'utf8')).toBe(sourcesPage())
})
