// What is done to a database that was just restored: brought up to date, deletions since repeated, links made whole.
import { migrateDatabase, openDatabase } from '../database.ts'
import { readConfig } from '../config.ts'
import { readDeletions, repeatDeletions } from '../deletions/deletions.ts'
import { rekeyLinks } from './rekeyLinks.ts'

const config = readConfig(process.env)
const db = openDatabase(config.databaseUrl)
try {
  await migrateDatabase(db)
  const again = await repeatDeletions(db, await readDeletions(config.deletions))
  console.log(`· ${again} deletions made after the backup were repeated`)
  const links = await rekeyLinks(db, config.secret, new Date())
  if (links.length) {
    console.log(
      `· the backup was made under another secret: ${links.length} links that were handed out are dead. Hand out these:`,
    )
    for (const { title, teacher, token } of links)
      console.log(`    ${teacher}  ${title}  ${config.pagesAt}/go/${token}`)
  } else console.log('· every link that was handed out still works')
} finally {
  await db.destroy()
}
