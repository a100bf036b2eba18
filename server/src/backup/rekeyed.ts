// npm run rekey, on the database: everything made with another secret becomes worthless.
import { readConfig } from '../base/config.ts'
import { migrateDatabase, openDatabase } from '../base/database.ts'
import { rekey } from './rekey.ts'
import { sayLinks } from './sayLinks.ts'

const config = readConfig(process.env)
const db = openDatabase(config.databaseUrl)
try {
  await migrateDatabase(db)
  const { links, signIns, copies, calendars } = await rekey(db, config.secret, new Date())
  console.log(`· ${signIns} sign-ins, ${copies} copies' links and ${calendars} calendars' addresses ended`)
  if (links.length) sayLinks(links, config.pagesAt, 'the secret is another one')
  else console.log('· no link that was handed out was still to be followed')
} finally {
  await db.destroy()
}
