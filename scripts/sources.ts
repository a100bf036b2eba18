// Writes docs/sources.md from the tables in the code: npm run sources.
import { writeFileSync } from 'node:fs'
import { sourcesPage } from '../core/test/sourcesPage.ts'

writeFileSync(new URL('../docs/sources.md', import.meta.url), sourcesPage())
