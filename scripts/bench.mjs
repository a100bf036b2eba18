// npm run bench [-- NAME]: every claim's measurement, one file each, figures as ratios taken in one run.
import { spawnSync } from 'node:child_process'
import { dirname } from 'node:path'
import { fileURLToPath } from 'node:url'
import { needPackages } from './packages.mjs'

const root = dirname(dirname(fileURLToPath(import.meta.url)))
needPackages(root)
const only = process.argv[2]
for (const file of [
  'lanes.ts',
  'notation.ts',
  'arrange.ts',
  'fit.ts',
  'spread.ts',
  'server.ts',
  'alive.mjs',
  'keypress.mjs',
  'moves.mjs',
].filter((name) => !only || name.startsWith(only))) {
  const { status } = spawnSync(process.execPath, ['--import', 'tsx', `bench/${file}`], {
    cwd: root,
    stdio: 'inherit',
  })
  if (status !== 0) process.exit(status ?? 1)
}
