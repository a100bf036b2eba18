import { sheetRows, type SheetBlock, type SheetRow, type SheetSection } from '@esfuerzo/core/publication'
import type { SheetOf } from './parts.ts'

/** The session's parts as paper shows them to the lane. */
export const sectionsOf = (of: SheetOf): SheetSection[] => sheetRows(of.publication, of.lane, of.language)

/** Every station once, without those of a surprise. */
export const stationRowsOf = (of: SheetOf, role = true): { row: SheetRow; block: SheetBlock }[] =>
  sectionsOf(of)
    .filter((section) => !section.surprise && (role || mainRoles.has(roleOf(of, section.id))))
    .flatMap((s) => s.blocks)
    .flatMap((block) => block.rows.map((row) => ({ row, block })))
const mainRoles = new Set(['main', 'skill', 'challenge'])
const roleOf = (of: SheetOf, id: string) => of.publication.sections.find((s) => s.id === id)?.role ?? 'main'
