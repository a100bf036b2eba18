// Whether anything changed: one hash over all files that something is made from.
import { createHash } from 'node:crypto'
import { readdirSync, readFileSync, statSync } from 'node:fs'
import { join } from 'node:path'

function* filesOf(path, left) {
  const entries = readdirSync(path, { withFileTypes: true }).sort((a, b) => (a.name < b.name ? -1 : 1))
  for (const entry of entries) {
    if (left.has(entry.name)) continue
    if (entry.isDirectory()) yield* filesOf(join(path, entry.name), left)
    else yield join(path, entry.name)
  }
}

/**
 * The names and contents of files as one hash. Built files and packages are left out.
 *
 * @param {string} root
 * @param {string[]} sources files and folders below the root
 * @param {{ without?: string[] }} [options] names of folders and files to leave out
 * @returns {string} SHA-256 in hex
 */
export function fingerprint(root, sources, { without = [] } = {}) {
  const left = new Set(['dist', 'node_modules', ...without])
  const hash = createHash('sha256')
  for (const source of sources) {
    const path = join(root, source)
    for (const file of statSync(path).isDirectory() ? filesOf(path, left) : [path])
      hash.update(file.slice(root.length)).update(readFileSync(file))
  }
  return hash.digest('hex')
}
