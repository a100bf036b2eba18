// Writes docs/checks.md from the rules and their limits: npm run checks.
import { writeFileSync } from 'node:fs'
import { checksPage } from '../core/test/checksPage.ts'

writeFileSync(new URL('../docs/checks.md', import.meta.url), checksPage())
