// npm run verify: everything `npm test` samples, in full: laws on many cases, exact solvers beside the MIP solver on hundreds of instances,
// thirty power cuts, a minute of live sound, accessibility checks of every view, the recipes of CONTRIBUTING.md, and all tests beside busy
// processes. For releases and nights.
import { dirname } from 'node:path'
import { fileURLToPath } from 'node:url'
import { needBuild } from './build.mjs'
import { needAge, needChromium, needPostgres } from './machine.mjs'
import { needPackages } from './packages.mjs'
import { abreast, check, playwright, summary, vitest } from './run.mjs'

const root = dirname(dirname(fileURLToPath(import.meta.url)))
const began = Date.now()
needPackages(root)
needPostgres()
needAge()
needChromium()
const env = { VERIFY: '1' }
const words = ['--testTimeout=1800000']
const outcomes = await abreast([
  () => vitest(root, 'computation, library, command line', { projects: ['core'], env, words }),
  async () => {
    needBuild(root)
    return vitest(root, 'server', { projects: ['server'], env, words })
  },
  () => vitest(root, 'pages', { projects: ['web', 'web-mocking'], env, words }),
])
outcomes.push(await playwright(root, 'browser', { env }))
outcomes.push(await check(root, 'recipes of CONTRIBUTING.md', [process.execPath, 'recipes/run.mjs']))
outcomes.push(await check(root, 'all tests beside eight busy processes', [process.execPath, 'scripts/busy.mjs']))
process.exit(summary(outcomes, began) ? 0 : 1)
