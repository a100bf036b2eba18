// Enforces the size limit of the family's pages: what a phone downloads before a session runs.
import { readdirSync, readFileSync } from 'node:fs'
import { gzipSync } from 'node:zlib'

const folder = new URL('dist/family/', import.meta.url)
const limits = { scripts: 105_000, fonts: 80_000 }
/** The largest session of the demo is about this large, compressed. */
const session = 8_500

const manifest = JSON.parse(readFileSync(new URL('.vite/manifest.json', folder), 'utf8'))
/** A chunk and everything it imports. */
function chunksFrom(key, found = new Set()) {
  if (found.has(key)) return found
  found.add(key)
  for (const next of manifest[key].imports ?? []) chunksFrom(next, found)
  return found
}
/** What is downloaded before a session runs: the entry and the player. Everything else is loaded meanwhile. */
const player = Object.keys(manifest).find((key) => key.endsWith('PlayerPage.vue'))
const chunks = [...chunksFrom('index.html', chunksFrom(player))]
const everything = Object.keys(manifest).filter((key) => manifest[key].file.endsWith('.js'))
const scripts = chunks.map((key) => readFileSync(new URL(manifest[key].file, folder)))
const zipped = scripts.reduce((sum, script) => sum + gzipSync(script).length, 0) + session
const fonts = readdirSync(new URL('assets/', folder))
  .filter((name) => /latin-(400|700|wght).*\.woff2$/.test(name))
  .reduce((sum, name) => sum + readFileSync(new URL(`assets/${name}`, folder)).length, 0)

const faults = []
if (zipped > limits.scripts) faults.push(`scripts and session: ${zipped} bytes gzip, at most ${limits.scripts}`)
if (fonts > limits.fonts) faults.push(`fonts: ${fonts} bytes, at most ${limits.fonts}`)
if (everything.some((key) => /__vuetify|highs_main|echarts/i.test(readFileSync(new URL(manifest[key].file, folder)))))
  faults.push('Vuetify, charts or the solver are in its chunks')
console.log(`family pages: ${zipped} bytes of script with a session (gzip), ${fonts} bytes of fonts`)
if (faults.length) {
  console.error(`The family's pages are too heavy. ${faults.join('; ')}.`)
  process.exit(1)
}
