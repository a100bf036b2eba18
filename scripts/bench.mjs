// npm run bench [-- NAME]: the measurement behind every performance claim, one file each, with figures as ratios taken in one run.
import { spawnSync } from 'node:child_process'
import { dirname } from 'node:path'
import { fileURLToPath } from 'node:url'
import { needPackages } from './packages.mjs'

const root = dirname(dirname(fileURLToPath(import.meta.url)))
needPackages(root)
const { build } = await import('vite')
const only = process.argv[2]

/** The core is measured as a browser gets it, bundled in one file: the unbundled modules carry overhead that only a debugger needs. */
async function bundled(file) {
  await build({
    root,
    configFile: false,
    logLevel: 'error',
    build: {
      ssr: `bench/${file}`,
      outDir: '.cache/bench',
      emptyOutDir: false,
      rolldownOptions: { output: { entryFileNames: '[name].mjs' } },
    },
  })
  return `.cache/bench/${file.replace('.ts', '.mjs')}`
}

const files = [
  { file: 'figure.ts', bundle: true },
  { file: 'lanes.ts', bundle: true },
  { file: 'notation.ts' },
  { file: 'arrange.ts', bundle: true },
  { file: 'fit.ts', bundle: true },
  { file: 'draft.ts', bundle: true },
  { file: 'term.ts', bundle: true },
  { file: 'spread.ts' },
  { file: 'server.ts' },
  { file: 'desk.ts' },
  { file: 'district.ts' },
  { file: 'yearEnd.ts' },
  { file: 'largeRuns.ts' },
  { file: 'alive.mjs' },
  { file: 'keypress.mjs' },
  { file: 'book.mjs' },
  { file: 'cold.mjs' },
  { file: 'moves.mjs' },
]
for (const { file, bundle } of files.filter((f) => !only || f.file.startsWith(only))) {
  const run = bundle ? [await bundled(file)] : ['--import', 'tsx', `bench/${file}`]
  const { status } = spawnSync(process.execPath, run, { cwd: root, stdio: 'inherit' })
  if (status !== 0) process.exit(status ?? 1)
}
