// Three drafts of different intent. Named exports only; what is in no list is nobody else's business.
export { intents, type DraftAsk, type HeldRow, type Intent } from '../draft/ask.ts'
export { draftFor, withExplaining, type Draft, type DraftOptions } from '../draft/draft.ts'
export { pickedPart } from '../draft/places.ts'
