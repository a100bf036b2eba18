// What goes into a table of another program. Named exports only; what is in no list is nobody else's business.
export { formulaStart, tableCell } from '../formats/tableCell.ts'
