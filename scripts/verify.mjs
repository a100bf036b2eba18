// npm run verify: the exact solvers beside a MIP solver package on hundreds of instances, where the tests take thirty.
import { spawnSync } from 'node:child_process'
import { dirname } from 'node:path'
import { fileURLToPath } from 'node:url'
import { needPackages } from './packages.mjs'

const root = dirname(dirname(fileURLToPath(import.meta.url)))
needPackages(root)
const { status } = spawnSync(
  'npx',
  [
    'vitest',
    'run',
    '--project',
    'core',
    'core/test/arrange.test.ts',
    'core/test/solveFit.test.ts',
    '--testTimeout=1800000',
  ],
  { cwd: root, stdio: 'inherit', env: { ...process.env, INSTANCES: process.argv[2] ?? '300' } },
)
process.exit(status ?? 1)
