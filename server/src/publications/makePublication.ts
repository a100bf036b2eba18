import { createHash } from 'node:crypto'
import canonicalizePackage from 'canonicalize'
import { v4 as uuid } from 'uuid'
import { publish, type Library, type Workout } from '@esfuerzo/core'
import type { NewPublication } from './store.ts'
import { linkToken, tokenHash } from '../http/linkToken.ts'

const canonicalize = canonicalizePackage as unknown as (value: unknown) => string | undefined

/**
 * A session as it is sent out: its family-safe projection as canonical JSON (RFC 8785), addressed by SHA-256.
 *
 * @throws {ProblemError} where there is nothing to send
 */
export function snapshotOf(workout: Workout, library: Library, schoolNote?: string): { body: string; sha256: string } {
  const body = canonicalize(publish(workout, library, schoolNote))!
  return { body, sha256: createHash('sha256').update(body).digest('hex') }
}

const day = 24 * 60 * 60 * 1000

interface PublicationOf {
  teacherId: string
  workoutId: string
  document: Workout
  classId?: string | undefined
}

/** A publication of a snapshot, ready to be stored. @param days until its link ends */
export function publicationOf(
  { teacherId, workoutId, document, classId }: PublicationOf,
  snapshot: { body: string; sha256: string },
  secret: string,
  createdAt: Date,
  days: number,
): NewPublication {
  const id = uuid()
  return {
    id,
    teacherId,
    workoutId,
    ...snapshot,
    tokenHash: tokenHash(linkToken('publication', id, secret)),
    title: document.title,
    createdAt,
    endsAt: new Date(createdAt.getTime() + days * day),
    classId,
  }
}

/** A session as a publication ready to be stored. @param days until its link ends */
export const makePublication = (
  of: PublicationOf & { schoolNote?: string },
  library: Library,
  secret: string,
  createdAt: Date,
  days: number,
): NewPublication => publicationOf(of, snapshotOf(of.document, library, of.schoolNote), secret, createdAt, days)
