// What is sent home, and what paper says of it. Named exports only; what is in no list is nobody else's business.
export { recordRows, type RecordRow } from '../sheets/recordRows.ts'
export { sheetRows } from '../sheets/sheetRows.ts'
export { type SheetBlock, type SheetRow, type SheetSection } from '../sheets/sheetBlock.ts'
export { publish } from '../publication/publish.ts'
export { publicationSchema, type Lane, type Publication, type PublishedMeasure } from '../publication/schema.ts'
export { measureOf } from '../publication/measureOf.ts'
export { type Play, type PlayedTurn, type PlayOf } from '../publication/playSchema.ts'
export { isWholeOutline, outlineOf, type Outline } from '../publication/outline.ts'
