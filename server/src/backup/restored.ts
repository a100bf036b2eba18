// Finishes a restored database: migrates it, repeats later deletions, replaces links.
import { migrateDatabase, openDatabase } from '../base/database.ts'
import { readConfig } from '../base/config.ts'
import { readDeletions } from '../deletions/deletions.ts'
import { repeatDeletions } from './repeatDeletions.ts'
import { dropKept } from '../results/retention.ts'
import { separateCodes } from '../pupils/store.ts'
import { rekeyLinks } from './rekeyLinks.ts'
import { sayLinks } from './sayLinks.ts'

/** Reports what could not be used. */
const unused = (what: string, error?: unknown) =>
  console.log(`! ${what}${error === undefined ? '' : `: ${(error as Error).message}`}`)

const config = readConfig(process.env)
const db = openDatabase(config.databaseUrl)
try {
  await migrateDatabase(db)
  const { deletions, unread } = await readDeletions(config.deletions)
  const { again, failed: kept } = await repeatDeletions(db, deletions)
  console.log(`· ${again} deletions made after the backup were repeated`)
  // Cleans up what has expired since the backup.
  const today = new Date(Date.now() - 12 * 60 * 60 * 1000).toISOString().slice(0, 10)
  const { runs, results, failed } = await dropKept(db, today)
  if (runs + results) console.log(`· ${runs} runs and ${results} values whose class keeps them no longer were deleted`)
  // What can't be used is reported and stops nothing else.
  for (const line of unread) unused(`line ${line} of ${config.deletions} is no deletion`)
  for (const { deletion, error } of kept)
    unused(`the deletion of ${deletion.what} ${deletion.id} could not be repeated`, error)
  for (const { class: id, error } of failed) unused(`what class ${id} keeps no longer could not be deleted`, error)
  for (const { email, unknown_zone } of await db('teachers')
    .whereNotNull('unknown_zone')
    .select('email', 'unknown_zone'))
    unused(`the time zone ${unknown_zone} of ${email} is none the database knows: it is UTC until she chooses another`)
  const links = await rekeyLinks(db, config.secret, new Date())
  await separateCodes(db, config.secret)
  if (links.length) sayLinks(links, config.pagesAt, 'the backup was made under another secret')
  else console.log('· every link that was handed out still works')
} finally {
  await db.destroy()
}
