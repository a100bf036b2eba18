// Three drafts of different intent. Named exports only: anything not listed is internal.
export { intents, type DraftAsk, type HeldRow, type Intent } from '../draft/ask.ts'
export { draftFor, withExplaining, type Draft, type DraftOptions } from '../draft/draft.ts'
export { pickedPart } from '../draft/places.ts'
