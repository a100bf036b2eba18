import { createHash } from 'node:crypto'
import canonicalizePackage from 'canonicalize'
import { type Library, type Session } from '@esfuerzo/core'
import { outlineOf, publish, type Outline } from '@esfuerzo/core/publication'
import { factsOf, type PublishedFacts } from './facts.ts'

const canonicalize = canonicalizePackage as unknown as (value: unknown) => string | undefined

/** A snapshot as it is stored. */
export interface Snapshot {
  /** Canonical JSON (RFC 8785). */
  body: string
  /** SHA-256 of the body, in hex: its address. */
  sha256: string
  outline: Outline
  facts: PublishedFacts
}

/**
 * A published session: its family-safe projection as canonical JSON (RFC 8785), addressed by SHA-256.
 *
 * @throws {ProblemError} if there is nothing to send, or more than may be sent
 */
export function snapshotOf(session: Session, library: Library, schoolNote?: string): Snapshot {
  const publication = publish(session, library, schoolNote)
  const body = canonicalize(publication)!
  return {
    body,
    sha256: createHash('sha256').update(body).digest('hex'),
    outline: outlineOf(publication),
    facts: factsOf(session, publication, library),
  }
}
