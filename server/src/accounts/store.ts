import type { Knex } from 'knex'
import type { Teacher } from '@esfuerzo/contract'
import { dropDone } from '../tables/dropRows.ts'
import { dropOrphans } from '../snapshots/orphans.ts'
import { owned } from '../rights/rights.ts'

interface Row {
  id: string
  email: string
  name: string
  zone: string
  password_hash: string
  unknown_zone: string | null
}

const teacher = ({ id, email, name, unknown_zone }: Row): Teacher => ({
  id,
  email,
  name,
  ...(unknown_zone && { unknownZone: unknown_zone }),
})

/** A teacher and the hash of her password, by address, ignoring case. */
export async function findAccount(
  db: Knex,
  email: string,
): Promise<{ teacher: Teacher; passwordHash: string } | undefined> {
  const row = await db<Row>('teachers').whereRaw('lower(email) = lower(?)', [email]).first()
  return row && { teacher: teacher(row), passwordHash: row.password_hash }
}

/** The teacher with an id; undefined if the account is deleted. */
export async function readTeacher(db: Knex, id: string): Promise<Teacher | undefined> {
  const row = await owned<Row>(db, id, 'teachers').first()
  return row && teacher(row)
}

/** @param zone of her school, until her settings change it */
export async function addTeacher(db: Knex, who: Teacher, zone: string, passwordHash: string): Promise<void> {
  const { id, email, name } = who
  await db<Row>('teachers').insert({ id, email, name, zone, password_hash: passwordHash })
}

/** Changes a teacher's name. @returns undefined if the account is deleted */
export async function renameTeacher(db: Knex, id: string, name: string): Promise<Teacher | undefined> {
  const [row] = await owned<Row>(db, id, 'teachers').update({ name }).returning('*')
  return row && teacher(row)
}

/** The hash of a teacher's password. */
export async function readPasswordHash(db: Knex, id: string): Promise<string | undefined> {
  return (await owned<Row>(db, id, 'teachers').first('password_hash'))?.password_hash
}

/** Changes the password. @param hash from `hashPassword` */
export async function setPasswordHash(db: Knex, id: string, passwordHash: string): Promise<void> {
  await owned<Row>(db, id, 'teachers').update({ password_hash: passwordHash })
}

/** Ends a teacher's sign-ins on all devices, or on all but one. @param keep the sign-in that stays */
export async function endSignIns(db: Knex, teacherId: string, keep?: string): Promise<void> {
  const query = db('sign_ins').whereRaw("sess->>'teacherId' = ?", [teacherId])
  await (keep ? query.whereNot({ sid: keep }) : query).delete()
}

/** Deletes everything of a teacher's: sessions and history, links, runs, saved parts, copies, sign-ins; false if she doesn't exist. */
export async function deleteTeacher(db: Knex, id: string): Promise<boolean> {
  // Children's results may be too many for one statement.
  await dropDone(db, { publications: owned(db, id, 'publications') })
  await dropDone(db, { pupils: owned(db, id, 'pupils') })
  const { found, shas } = await db.transaction(async (trx) => {
    await endSignIns(trx, id)
    const sent: { sha256: string }[] = await owned(trx, id, 'publications').distinct('sha256')
    const teacher = await owned<Row>(trx, id, 'teachers').first('email')
    // Also an account that was to be created for the address.
    if (teacher) await trx('mailed_links').whereRaw('lower(email) = lower(?)', [teacher.email]).delete()
    return { found: await owned(trx, id, 'teachers').delete(), shas: sent.map((row) => row.sha256) }
  })
  // A snapshot may serve several links; unused ones are deleted too.
  await dropOrphans(db, shas)
  return found > 0
}

/** Whether any account exists yet. */
export async function anyTeacher(db: Knex): Promise<boolean> {
  return (await db('teachers').first('id')) !== undefined
}
