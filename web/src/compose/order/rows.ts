import {
  chanceTable,
  hasOwn,
  hasStations,
  libraryFor,
  sameValue,
  stationsOf,
  valueFor,
  type Block,
  isChance,
  type Cell,
  type Group,
  type Library,
  type PerGroup,
  type Section,
  type Station,
  type Session,
  traitsOf,
} from '@esfuerzo/core'
import { notationOf } from '@esfuerzo/core/notation'
import type { Words } from '../../shared/words.ts'
import { blockSummary, doseText } from './cellText.ts'

/** One cell of the running order: what one group does, or several neighboring groups together. */
export interface RowSpan {
  groupIds: string[]
  /** The letter of the group the value belongs to; undefined for a shared one. */
  own?: string
  text: string
  dose: string
  /** How hard the version is, from 1, and how many versions there are. */
  level?: { at: number; of: number }
}

interface RowBase {
  id: string
  spans: RowSpan[]
}
export type Row =
  | (RowBase & { kind: 'section'; section: Section; block?: Block })
  | (RowBase & { kind: 'block'; section: Section; block: Block })
  | (RowBase & {
      kind: 'station'
      section: Section
      block: Block
      station: Station
      n: number
      name: string
      figure: string
    })
  | (RowBase & { kind: 'empty'; section: Section; block?: Block })

/** Cells of a row: neighboring groups that show the same shared value are one. */
function spansOf(
  groups: readonly Group[],
  show: (group: Group) => Omit<RowSpan, 'groupIds' | 'own'>,
  isOwn: (groupId: string) => boolean,
): RowSpan[] {
  const spans: RowSpan[] = []
  for (const group of groups) {
    const shown = show(group)
    const own = isOwn(group.id)
    const last = spans.at(-1)
    const { groupIds: _, own: lastOwn, ...lastShown } = last ?? { groupIds: [], own: undefined }
    if (last && !own && !lastOwn && sameValue(lastShown, shown)) last.groupIds.push(group.id)
    else spans.push({ ...shown, groupIds: [group.id], ...(own && { own: group.letter }) })
  }
  return spans
}

const ownIn = (values: (PerGroup<unknown> | undefined)[]) => (groupId: string) =>
  values.some((v) => v !== undefined && hasOwn(v, groupId))

function blockSpans(block: Block, groups: readonly Group[], t: Words): RowSpan[] {
  const values = notationOf(block.form).facts.map((f) => f.get(block))
  return spansOf(groups, (group) => blockSummary(block, group.id, t), ownIn(values))
}

function stationRow(
  section: Section,
  block: Block,
  station: Station,
  n: number,
  groups: readonly Group[],
  library: Library,
  t: Words,
): Row {
  const shared: Cell = station.cells.all
  const move = library.moves.get(shared.move)
  const spans = spansOf(
    groups,
    (group) => {
      const cell = valueFor(station.cells, group.id)
      const own = library.moves.get(cell.move)
      const at = own ? own.versions.findIndex((v) => v.id === cell.version) : -1
      const version = own?.versions[at]
      // Another exercise shows its name; the row's own is named on the left, so its version's description is enough.
      const text =
        cell.move === shared.move ? (version?.how ?? cell.version) : `${own?.name ?? cell.move}: ${version?.how ?? ''}`
      const level = own && own.versions.length > 1 ? { at: at + 1, of: own.versions.length } : undefined
      return { text, dose: doseText(block, cell, group, library, t), ...(level && { level }) }
    },
    ownIn([station.cells]),
  )
  const figure = move?.versions.find((v) => v.id === shared.version)?.figure ?? move?.figure ?? ''
  return {
    kind: 'station',
    id: station.id,
    section,
    block,
    station,
    n,
    spans,
    figure,
    name: [faceName(block, station, t), station.storyName || (move?.name ?? shared.move)].filter(Boolean).join(': '),
  }
}

/** The face of the coin, card or die that a row belongs to. */
function faceName(block: Block, station: Station, t: Words): string {
  if (!isChance(block)) return ''
  const face = [...chanceTable(block)].find(([, stations]) => stations.includes(station))?.[0]
  return face ? t(`face.${face}`) : ''
}

/**
 * A session as rows, top to bottom: sections, their blocks, their stations. A section with one untitled block shares a row with it; a block
 * that needs stations and has none has an empty row that says so.
 *
 * @param folded ids of sections of which only their own row is shown
 */
export function rowsOf(session: Session, ours: Library, t: Words, folded: ReadonlySet<string> = new Set()): Row[] {
  // A colleague's session may bring her own exercises.
  const library = libraryFor(session, ours)
  const { groups } = session
  const rows: Row[] = []
  let n = 0
  for (const section of session.sections) {
    const [first, ...others] = section.blocks
    // A block with its own name has a row of its own; a talk shows its name in its cells.
    const only = first && others.length === 0 && (!first.title || traitsOf(first).explains) ? first : undefined
    rows.push({ kind: 'section', id: section.id, section, block: only, spans: only ? blockSpans(only, groups, t) : [] })
    if (folded.has(section.id)) {
      n += section.blocks.reduce((sum, block) => sum + stationsOf(block).length, 0)
      continue
    }
    for (const block of section.blocks) {
      if (block !== only)
        rows.push({ kind: 'block', id: block.id, section, block, spans: blockSpans(block, groups, t) })
      if (!hasStations(block)) continue
      if (block.stations.length === 0) rows.push({ kind: 'empty', id: `${block.id}-empty`, section, block, spans: [] })
      for (const station of block.stations) rows.push(stationRow(section, block, station, ++n, groups, library, t))
    }
    if (section.blocks.length === 0) rows.push({ kind: 'empty', id: `${section.id}-empty`, section, spans: [] })
  }
  return rows
}
