import { readDocument, type DocumentKind } from '../documents/document.ts'
import { readDocumentText } from '../documents/documentText.ts'
import { crossProblems } from './crossProblems.ts'
import { sessionFormat, sessionSchema, sessionVersion, type Session } from './schema.ts'
import { saysNewTest } from './versionFour.ts'
import { sectionsAsBefore, sectionsFromFirst } from './versionTwo.ts'

/** The session a teacher makes, as a document. */
export const sessionDocument: DocumentKind<Session> = {
  format: sessionFormat,
  version: sessionVersion,
  schema: sessionSchema,
  migrations: { 1: (w) => ({ ...w, sections: sectionsFromFirst(w.sections) }), 2: (w) => w, 3: (w) => w },
  cross: crossProblems,
  asBefore: (session) => {
    // Version 3 has four tests, no set-ups, no class pace and no minutes moved; version 2 has no ignored checks. A session that needs nothing new is written in version 1.
    if (session.asksMoved || session.groups.some((g) => g.pace !== undefined)) return undefined
    if (session.sections.some((s) => s.blocks.some(saysNewTest))) return undefined
    if (session.answered) return { ...session, version: 3 }
    const sections = sectionsAsBefore(session.sections)
    return sections ? { ...session, version: 1, sections } : { ...session, version: 2 }
  },
}

/**
 * Reads a session: migrated to this version, every per-group value in its canonical form.
 *
 * @param input JSON data of any shape
 * @throws {ProblemError} with every problem found, each with its path; a document is never read in part
 */
export const readSession = (input: unknown): Session => readDocument(sessionDocument, input)

/**
 * Reads a session from the text of a file.
 *
 * @throws {ProblemError} like {@link readDocumentText}
 */
export const readSessionText = (text: string): Session => readDocumentText(sessionDocument, text)
