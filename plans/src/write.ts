// Sessions and tables as files of other programs. Named exports only.
export { docxOf } from './docxOut.ts'
export { excelOf, type ExcelTable } from './excelOut.ts'
