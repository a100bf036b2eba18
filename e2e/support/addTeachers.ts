// Gives teachers the demo's sessions: node --import tsx e2e/support/addTeachers.ts ADDRESS …
import { indexLibrary } from '@esfuerzo/core'
import { libraryData } from '@esfuerzo/library'
import { libraryWords } from '@esfuerzo/library/words'
import { openDatabase } from '../../server/src/base/database.ts'
import { addDemoTeachers, demoSignIn } from '../../server/src/demo/addDemo.ts'

const library = indexLibrary({ ...libraryData, words: libraryWords })
const db = openDatabase(process.env.DATABASE_URL!)
const teachers = process.argv.slice(2).map((email) => ({ email, password: demoSignIn.password }))
await addDemoTeachers(db, library, process.env.SECRET!, new Date(), teachers)
await db.destroy()
