import { join } from 'node:path'
import { readBackup, writeBackup } from '../scripts/backupFile.mjs'
import { openCluster } from '../scripts/database.mjs'
import { freePort } from '../scripts/ports.mjs'
import { root } from '../scripts/stack.mjs'
import { openDatabase } from '../server/src/base/database.ts'
import { contents } from './contents.ts'

/**
 * A backup of several machines, restored on a single one.
 *
 * @returns the tables that differ by count or hash, how many tables there are, and how long restoring took
 */
export async function restoredAlone(
  databaseUrl: string,
): Promise<{ unequal: string[]; tables: number; seconds: number }> {
  const file = join(root, '.cache', 'stand.backup')
  await writeBackup(databaseUrl, file)
  const port = await freePort(54_700)
  const alone = await openCluster(join(root, '.cache', 'postgres-alone'), { durable: false, fresh: true, port })
  await alone.create('esfuerzo')
  const [there, here] = [openDatabase(databaseUrl), openDatabase(alone.url())]
  try {
    const began = Date.now()
    await readBackup(alone.url(), file)
    const seconds = (Date.now() - began) / 1000
    const [before, after] = [await contents(there), await contents(here)]
    return {
      unequal: Object.keys({ ...before, ...after }).filter((name) => before[name] !== after[name]),
      tables: Object.keys(before).length,
      seconds,
    }
  } finally {
    await Promise.all([there.destroy(), here.destroy()])
    await alone.stop('immediate')
  }
}
