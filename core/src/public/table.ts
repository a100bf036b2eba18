// Tables for other programs. Named exports only: anything not listed is internal.
export { formulaStart, tableCell } from '../formats/tableCell.ts'
