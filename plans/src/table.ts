// What tables of other programs hold, for whoever reads tables only. Named exports only.
export { decoded } from './decoded.ts'
export { separated } from './separated.ts'
export { withoutStrayCells } from './strayCells.ts'
export { cellText } from './sheets.ts'
