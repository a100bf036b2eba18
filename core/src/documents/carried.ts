import { readDocument, writtenDocument, type DocumentKind } from './document.ts'

type Kinds = readonly DocumentKind<unknown>[]

/** How deep documents may be nested in an answer: `{ parts: [{ part }] }` is three. */
const deepest = 4

/** Anything carried in a message, with each document in it changed; what holds none stays the same object. */
function mapDocuments(
  kinds: Kinds,
  value: unknown,
  change: (kind: DocumentKind<unknown>, document: unknown) => unknown,
) {
  const walk = (here: unknown, depth: number): unknown => {
    if (here === null || typeof here !== 'object' || depth > deepest) return here
    const { format } = here as { format?: unknown }
    const kind = typeof format === 'string' && kinds.find((k) => k.format === format)
    if (kind) return change(kind, here)
    if (Array.isArray(here)) return here.map((inner) => walk(inner, depth + 1))
    return Object.fromEntries(Object.entries(here).map(([key, inner]) => [key, walk(inner, depth + 1)]))
  }
  return walk(value, 0)
}

/**
 * Reads every document in a message received over the network.
 *
 * @throws {ProblemError} `newer-version` if the other side's document is a release ahead and cannot be read here
 */
export const readCarried = (kinds: Kinds, message: unknown): unknown => mapDocuments(kinds, message, readDocument)

/** An outgoing message, every document in its written form. */
export const writtenCarried = (kinds: Kinds, message: unknown): unknown => mapDocuments(kinds, message, writtenDocument)
