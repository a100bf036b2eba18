import type { DocumentKind } from './documents/document.ts'
import { movesDocument } from './terms/ownMove.ts'
import { publicationDocument } from './publication/schema.ts'
import { runDocument } from './run/schema.ts'
import { settingsDocument } from './terms/settings.ts'
import { partDocument } from './session/part.ts'
import { termDocument } from './term/schema.ts'
import { sessionDocument } from './session/readSession.ts'

/** Every kind of document, by a short name. A test checks that documents of every version ever written can still be read. */
export const documentKinds = {
  session: sessionDocument,
  part: partDocument,
  settings: settingsDocument,
  moves: movesDocument,
  run: runDocument,
  publication: publicationDocument,
  term: termDocument,
} as const satisfies Record<string, unknown>

/** The same as a list. */
export const allDocumentKinds: readonly DocumentKind<unknown>[] = Object.values(documentKinds)
