import { sheetRows, type SheetBlock, type SheetRow, type SheetSection } from '@esfuerzo/core/publication'
import type { SheetOf } from './parts.ts'

/** The session's sections as print shows them to the lane. */
export const sectionsOf = (sheet: SheetOf): SheetSection[] => sheetRows(sheet.publication, sheet.lane, sheet.language)

/** Every station once, without those of a surprise. */
export const stationRowsOf = (sheet: SheetOf, role = true): { row: SheetRow; block: SheetBlock }[] =>
  sectionsOf(sheet)
    .filter((section) => !section.surprise && (role || mainRoles.has(roleOf(sheet, section.id))))
    .flatMap((s) => s.blocks)
    .flatMap((block) => block.rows.map((row) => ({ row, block })))
const mainRoles = new Set(['main', 'skill', 'challenge'])
const roleOf = (sheet: SheetOf, id: string) => sheet.publication.sections.find((s) => s.id === id)?.role ?? 'main'
