export { type Access, type Endpoint } from './endpoint.ts'
export { endpoints, schemaNames, type EndpointName, type Endpoints } from './endpoints.ts'
export {
  mostCells,
  type LooseRun,
  type RefusedCell,
  type SentSession,
  type TestOverDates,
  type WrittenCell,
} from './book.ts'
export { classSchema, type Pupil, type RemovedClass, type RemovedPupil, type SchoolClass } from './classes.ts'
export { sheetKinds, teacherSheetKinds, type SheetKind, type TeacherSheetKind } from './handout.ts'
export { eventKinds, mostEvents, type EventKind, type LoggedEvent } from './events.ts'
export { papers, type Paper } from './papers.ts'
export { teacherSchema, type Teacher } from './accounts.ts'
export {
  keptRevisionSchema,
  sessionSummarySchema,
  longestOriginal,
  type KeptRevision,
  type Original,
  type RemovedSession,
  type SessionSummary,
} from './sessions.ts'
export { type Done, type TermSummary } from './terms.ts'
export { type UsedMove } from './moves.ts'
export { type KeptPart } from './shelf.ts'
export { publicationInfoSchema, runSummarySchema, type PublicationInfo, type RunSummary } from './publications.ts'
export { type Message } from './outbox.ts'
export { errorStatus, problemDocumentSchema, type ErrorCode, type ProblemDocument } from './problemDocument.ts'
export { CallError } from './callError.ts'
export { errorsInEnglish, type ErrorWords } from './errorWords.ts'
export { callCode, createClient, type CallAnswer, type CallInput, type Client } from './client.ts'
export { retryable } from './retryable.ts'
