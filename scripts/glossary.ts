// Writes docs/glossary.md from docs/glossary.json: npm run glossary.
import { writeFileSync } from 'node:fs'
import { glossaryPage } from '../core/test/glossaryPage.ts'

writeFileSync(new URL('../docs/glossary.md', import.meta.url), glossaryPage())
