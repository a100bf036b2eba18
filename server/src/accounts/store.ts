import type { Knex } from 'knex'
import type { Teacher } from '@esfuerzo/contract'
import { dropOrphans } from '../publications/orphans.ts'

interface Row {
  id: string
  email: string
  name: string
  zone: string
  password_hash: string
}

const teacher = ({ id, email, name }: Row): Teacher => ({ id, email, name })

/** A teacher and the hash of her password, by address in any case. */
export async function findAccount(
  db: Knex,
  email: string,
): Promise<{ teacher: Teacher; passwordHash: string } | undefined> {
  const row = await db<Row>('teachers').whereRaw('lower(email) = lower(?)', [email]).first()
  return row && { teacher: teacher(row), passwordHash: row.password_hash }
}

/** The teacher of an id; undefined where the account is gone. */
export async function readTeacher(db: Knex, id: string): Promise<Teacher | undefined> {
  const row = await db<Row>('teachers').where({ id }).first()
  return row && teacher(row)
}

/** @param zone of her school, until its settings say another */
export async function addTeacher(db: Knex, who: Teacher, zone: string, passwordHash: string): Promise<void> {
  await db<Row>('teachers').insert({ ...who, zone, password_hash: passwordHash })
}

/** Gives a teacher another name. @returns undefined where the account is gone */
export async function renameTeacher(db: Knex, id: string, name: string): Promise<Teacher | undefined> {
  const [row] = await db<Row>('teachers').where({ id }).update({ name }).returning('*')
  return row && teacher(row)
}

/** The hash of a teacher's password. */
export async function readPasswordHash(db: Knex, id: string): Promise<string | undefined> {
  return (await db<Row>('teachers').where({ id }).first('password_hash'))?.password_hash
}

/** Puts another password in. @param hash from `hashPassword` */
export async function setPasswordHash(db: Knex, id: string, passwordHash: string): Promise<void> {
  await db<Row>('teachers').where({ id }).update({ password_hash: passwordHash })
}

/** Ends a teacher's sign-ins on all devices, or on all but one. @param keep the sign-in that stays */
export async function endSignIns(db: Knex, teacherId: string, keep?: string): Promise<void> {
  const query = db('sign_ins').whereRaw("sess->>'teacherId' = ?", [teacherId])
  await (keep ? query.whereNot({ sid: keep }) : query).delete()
}

/** Everything of a teacher's: her sessions and their history, links, runs, shelf, copies, sign-ins; false where there is none. */
export async function deleteTeacher(db: Knex, id: string): Promise<boolean> {
  const { found, shas } = await db.transaction(async (trx) => {
    await endSignIns(trx, id)
    const sent: { sha256: string }[] = await trx('publications').where({ teacher_id: id }).distinct('sha256')
    const teacher = await trx<Row>('teachers').where({ id }).first('email')
    // An account that was to be made for the address, too.
    if (teacher) await trx('mailed_links').whereRaw('lower(email) = lower(?)', [teacher.email]).delete()
    return { found: await trx('teachers').where({ id }).delete(), shas: sent.map((row) => row.sha256) }
  })
  // A snapshot may serve several links; one that serves none any more goes too.
  await dropOrphans(db, shas)
  return found > 0
}

/** Whether anybody has an account yet. */
export async function anyTeacher(db: Knex): Promise<boolean> {
  return (await db('teachers').first('id')) !== undefined
}
