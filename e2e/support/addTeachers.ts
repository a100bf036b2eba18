// Adds the teachers of the journeys: node --import tsx e2e/support/addTeachers.ts WITH_DEMO WITHOUT, two lists of addresses with commas
import { randomUUID } from 'node:crypto'
import { indexLibrary, newSettings } from '@esfuerzo/core'
import { libraryData } from '@esfuerzo/library'
import { libraryWords } from '@esfuerzo/library/words'
import { hashPassword } from '../../server/src/accounts/password.ts'
import { addTeacher } from '../../server/src/accounts/store.ts'
import { openDatabase } from '../../server/src/base/database.ts'
import { addDemoTeachers } from '../../server/src/demo/addDemo.ts'
import { saveSettings } from '../../server/src/settings/store.ts'
import { password } from './teacher.ts'

const zone = 'Atlantic/Azores'
const [withDemo, without] = process.argv.slice(2).map((list) => list.split(',').filter(Boolean))
const library = indexLibrary({ ...libraryData, words: libraryWords })
// A stalled machine must not fail the journeys.
const db = openDatabase(process.env.DATABASE_URL!, undefined, 'unbound')
const passwordHash = await hashPassword(password)
for (const email of without!) {
  const id = randomUUID()
  await addTeacher(db, { id, email, name: 'Marisol' }, zone, passwordHash)
  await saveSettings(db, id, { ...newSettings(zone), school: 'The island school' })
}
const teachers = withDemo!.map((email) => ({ email, password }))
await addDemoTeachers(db, library, process.env.SECRET!, new Date(), teachers)
await db.destroy()
