import { randomUUID } from 'node:crypto'
import { type Session } from '@esfuerzo/core'
import type { Snapshot } from '../snapshots/snapshot.ts'
import type { NewPublication } from './store.ts'
import { linkToken, tokenHash } from '../http/linkToken.ts'

const day = 24 * 60 * 60 * 1000

interface PublicationOf {
  teacherId: string
  sessionId: string
  document: Session
  classId?: string | undefined
}

/** A publication of a snapshot, ready to be stored. @param days until its link ends */
export function publicationOf(
  { teacherId, sessionId, document, classId }: PublicationOf,
  snapshot: Snapshot,
  secret: string,
  createdAt: Date,
  days: number,
): NewPublication {
  const id = randomUUID()
  return {
    id,
    teacherId,
    sessionId,
    ...snapshot,
    tokenHash: tokenHash(linkToken('publication', id, secret)),
    title: document.title,
    createdAt,
    endsAt: new Date(createdAt.getTime() + days * day),
    classId,
  }
}
