import { traitsOf } from '../session/formTraits.ts'
import { cellsFor } from '../library/cellsFor.ts'
import type { Library } from '../library/library.ts'
import { sameValue } from '../base/sameValue.ts'
import { forms, stationsOf, type Block } from '../session/forms.ts'
import type { Group } from '../terms/group.ts'
import { valueFor } from '../terms/perGroup.ts'
import type { Session } from '../session/schema.ts'
import type { Cell, Station } from '../session/station.ts'
import { printCell, printCellAs } from './cell.ts'
import { printDetails } from './detailsText.ts'
import { notationOf } from './formNotations.ts'
import { groupLabel } from './groupsText.ts'
import { libraryFor } from '../library/carryMoves.ts'
import { nameIndex, nameKey, printExactName, printMoveName, printName } from './names.ts'
import { inQuotes } from './quoted.ts'
import { printHead } from './sectionHead.ts'
import { strip } from './strip.ts'

/** The line that starts a block: its facts, each followed by the differing values of single groups in brackets. */
export function printFormLine(block: Block, groups: readonly Group[]): string {
  const notation = notationOf(block.form)
  if (notation.bare) return notation.bare
  return notation.facts
    .flatMap((f) => {
      const value = f.get(block)
      if (!value || (f.silent?.(value.all) && !value.by)) return []
      const own = groups.flatMap((g) => {
        const v = value.by && Object.hasOwn(value.by, g.id) ? value.by[g.id] : undefined
        return v === undefined ? [] : [` [${groupLabel(g, groups)}: ${f.print(v, value.all)}]`]
      })
      return [`${f.print(value.all)}${own.join('')}`]
    })
    .join(', ')
}

/** A station's line. The exercise's own name means the version each grade is ready for; a group that does something else has brackets. */
export function printStation(station: Station, block: Block, groups: readonly Group[], library: Library): string {
  const index = nameIndex(library)
  const { all } = station.cells
  const move = library.moves.get(all.move)
  const plain = move && index.names.get(nameKey(move.name))
  const word = notationOf(block.form).prefix?.print(station)

  /** The line for a name, and how many groups need brackets next to it. */
  const line = (name: string, expected: (groupId: string) => Cell) => {
    const own = groups.flatMap((group) => {
      const cell = valueFor(station.cells, group.id)
      if (sameValue(cell, expected(group.id))) return []
      const owner = library.moves.get(cell.move)
      const called = owner ? printExactName(owner, cell.version, index) : `"${cell.move}"`
      return [` [${groupLabel(group, groups)}: ${printCellAs(cell, library, called, all)}]`]
    })
    return { text: `${printCellAs(all, library, quotedWhereRead(name))}${own.join('')}`, brackets: own.length }
  }
  const exact = line(move ? printExactName(move, all.version, index) : `"${all.move}"`, exactly())
  // The exercise's own name, if a reader takes it for the version each grade is ready for.
  const ready = move && plain?.move.id === move.id && !plain.version ? cellsFor(move, groups, 'intervals') : undefined
  const byGrade = ready && line(printMoveName(move!), (id) => ({ ...all, version: valueFor(ready, id).version }))
  const shortest = byGrade && byGrade.brackets <= exact.brackets ? byGrade : exact
  return `${word ? `${quotedWhereRead(word)}: ` : ''}${shortest.text}`

  /** How an exact name is read: that version for all, unless it is the exercise's own name. */
  function exactly(): (groupId: string) => Cell {
    const name = move && printExactName(move, all.version, index)
    const names = name && index.names.get(nameKey(name))
    const auto = move && names && !names.version ? cellsFor(move, groups, 'intervals') : undefined
    return (id) => (auto ? { ...all, version: valueFor(auto, id).version } : all)
  }
}

/**
 * A station as a row of a table: its name, and what each group does, each in full.
 *
 * @returns a group that does another version has its name in its cell
 */
export function printAcross(
  station: Station,
  block: Block,
  groups: readonly Group[],
  library: Library,
): { name: string; cells: string[] } {
  const index = nameIndex(library)
  const { all } = station.cells
  const move = library.moves.get(all.move)
  const name = quotedWhereRead(move ? printName(move, all.version, index) : `"${all.move}"`)
  const named = move && index.names.get(nameKey(printName(move, all.version, index)))
  // The exercise's own name means the version each grade is ready for.
  const ready = move && named && !named.version ? cellsFor(move, groups, 'intervals') : undefined
  const word = notationOf(block.form).prefix?.print(station)
  const cells = groups.map(({ id }) => {
    const cell = valueFor(station.cells, id)
    const version = ready ? valueFor(ready, id).version : all.version
    return cell.move === all.move && cell.version === version
      ? printCellAs(cell, library, '').replace(/^[\s;]+/, '')
      : printCell(cell, library)
  })
  return { name: word ? `${quotedWhereRead(word)}: ${name}` : name, cells }
}

/** A name that would be read as something else, such as a form or a row's own words, is quoted. */
const quotedWhereRead = (name: string): string =>
  !name.startsWith('"') &&
  (forms.some((form) => notationOf(form).opens.test(name)) || ownWords.test(name) || /[^\p{L}\s'’&/!?.-]/u.test(name))
    ? inQuotes(name)
    : name
const ownWords = /^(?:hold|each|note|easier|harder|rest|travel|minutes|groups|target)\b/i

/** Whether a block's line can be left out: it is plain, and nothing before it takes rows. */
const isUnsaid = (block: Block, before: Block | undefined): boolean =>
  traitsOf(block).goesWithoutSaying?.(block) === true && (!before || !('stations' in before))

const quoted = (text: string) => text.split('\n').map((line) => `> ${line}`)

/**
 * The lines above a block's rows: how it is worked, and extra lines of its form.
 *
 * @param before the previous block of its section
 */
export const linesOver = (block: Block, before: Block | undefined, groups: readonly Group[]) => ({
  facts: isUnsaid(block, before) ? [] : [printFormLine(block, groups)],
  own: notationOf(block.form).lines?.print(block) ?? [],
})

/** The lines of one block. @param before the previous block of its section */
export function printBlock(
  block: Block,
  before: Block | undefined,
  groups: readonly Group[],
  library: Library,
): string[] {
  const { facts, own } = linesOver(block, before, groups)
  return [
    ...(block.title ? [`### ${block.title}`] : []),
    ...facts,
    ...(block.note ? quoted(block.note) : []),
    ...own,
    ...stationsOf(block).flatMap((station) => [
      printStation(station, block, groups, library),
      ...(station.note?.split('\n').map((line) => `note: ${line}`.trimEnd()) ?? []),
      ...(['easier', 'harder'] as const).flatMap((key) => (station[key] ? [`${key}: ${station[key]}`] : [])),
    ]),
  ]
}

/**
 * A session as a teacher writes it on a whiteboard. What it cannot say is left out; `apply` keeps that.
 *
 * @example '# Storm-day springs\nminutes 22; groups K-1, 2-3, 4-6; space mat\n\n## Warm-up\n…'
 */
export function print(session: Session, ours: Library): string {
  const library = libraryFor(session, ours)
  const w = strip(session, library)
  const lines = [`# ${w.title}`, ...printDetails(w)]
  for (const section of w.sections) {
    lines.push('', printHead(section), ...(section.note ? quoted(section.note) : []))
    section.blocks.forEach((block, i) => lines.push(...printBlock(block, section.blocks[i - 1], w.groups, library)))
  }
  return `${lines.join('\n')}\n`
}
