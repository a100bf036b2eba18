// npm run recipes [-- NAME …]: follows the recipes of CONTRIBUTING.md in scratch copies: each compiles and passes its tests, or is wrong.
import { bound } from './bound.mjs'
import { newCheck } from './check.mjs'
import { errorCode } from './errorCode.mjs'
import { form } from './form.mjs'
import { language } from './language.mjs'
import { measure } from './measure.mjs'
import { move } from './move.mjs'
import { page } from './page.mjs'
import { route } from './route.mjs'
import { setting } from './setting.mjs'
import { table } from './table.mjs'
import { openScratch } from './scratch.mjs'

const recipes = { form, check: newCheck, table, page, route, setting, bound, measure, move, language, error: errorCode }
const wanted = process.argv.slice(2)
let failed = 0
for (const [name, { title, follow }] of Object.entries(recipes)) {
  if (wanted.length && !wanted.includes(name)) continue
  const scratch = openScratch()
  const began = Date.now()
  try {
    follow(scratch)
    console.log(`✓ ${title} (${Math.round((Date.now() - began) / 1000)} s)`)
  } catch (error) {
    failed++
    console.log(`✗ ${title}\n${error.message}`)
  } finally {
    scratch.close()
  }
}
process.exitCode = failed ? 1 : 0
