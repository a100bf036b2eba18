import type { Knex } from 'knex'
import { readSession, sessionDocument, writtenText, type Session } from '@esfuerzo/core'
import { owned } from '../rights/rights.ts'

export interface NewCopy {
  id: string
  teacherId: string
  tokenHash: string
  document: Session
  endsAt: Date
}

/** Limit of active copies for a teacher (ours). */
export const copyRoom = 200

/** Whether there is room for another. */
export async function hasRoom(db: Knex, teacherId: string): Promise<boolean> {
  const [count] = await owned(db, teacherId, 'copies').where('ends_at', '>', db.fn.now()).count({ n: '*' })
  return Number(count!.n) < copyRoom
}

/** Stores a copy for a colleague; expired copies are deleted. */
export async function addCopy(db: Knex, copy: NewCopy): Promise<void> {
  await owned(db, copy.teacherId, 'copies').where('ends_at', '<', db.fn.now()).delete()
  await db('copies').insert({
    id: copy.id,
    teacher_id: copy.teacherId,
    token_hash: copy.tokenHash,
    document: writtenText(sessionDocument, copy.document),
    ends_at: copy.endsAt,
  })
}

/** Withdraws a copy; its link stops working. */
export async function removeCopy(db: Knex, teacherId: string, id: string): Promise<void> {
  await owned(db, teacherId, 'copies').where({ id }).delete()
}

/** The copy behind a link, and its sender; open to any teacher with the link. */
export async function findCopy(
  db: Knex,
  tokenHash: string,
): Promise<{ from: string; endsAt: Date; document: Session } | undefined> {
  const row = await db('copies as c')
    .join('teachers as t', 't.id', 'c.teacher_id')
    .where({ 'c.token_hash': tokenHash })
    .first<{ name: string; ends_at: Date; document: unknown } | undefined>('t.name', 'c.ends_at', 'c.document')
  return row && { from: row.name, endsAt: row.ends_at, document: readSession(row.document) }
}
