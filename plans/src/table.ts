// Tables of other programs, for code that only reads tables. Named exports only.
export { decoded } from './decoded.ts'
export { separated } from './separated.ts'
export { withoutStrayCells } from './strayCells.ts'
export { cellText } from './sheets.ts'
