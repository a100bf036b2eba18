// What is done to a database that was just restored: brought up to date, deletions since repeated, links made whole.
import { migrateDatabase, openDatabase } from '../database.ts'
import { readConfig } from '../config.ts'
import { readDeletions, repeatDeletions } from '../deletions/deletions.ts'
import { dropKept } from '../results/retention.ts'
import { separateCodes } from '../pupils/store.ts'
import { rekeyLinks } from './rekeyLinks.ts'
import { sayLinks } from './sayLinks.ts'

const config = readConfig(process.env)
const db = openDatabase(config.databaseUrl)
try {
  await migrateDatabase(db)
  const again = await repeatDeletions(db, await readDeletions(config.deletions))
  console.log(`· ${again} deletions made after the backup were repeated`)
  // What had its time since the backup was made has it again.
  const today = new Date(Date.now() - 12 * 60 * 60 * 1000).toISOString().slice(0, 10)
  const { runs, results } = await db.transaction((trx) => dropKept(trx, today))
  if (runs + results) console.log(`· ${runs} runs and ${results} values whose class keeps them no longer were deleted`)
  const links = await rekeyLinks(db, config.secret, new Date())
  await separateCodes(db, config.secret)
  if (links.length) sayLinks(links, config.pagesAt, 'the backup was made under another secret')
  else console.log('· every link that was handed out still works')
} finally {
  await db.destroy()
}
