import {
  addStation,
  findBlock,
  hasStations,
  moveBlockTo,
  moveSectionTo,
  moveStationsTo,
  pasteParts,
  stationsOf,
  type Part,
  type Policy,
  type Session,
} from '@esfuerzo/core'
import { putCells } from '@esfuerzo/core/choose'
import { library } from '../../repertoire/library.ts'
import type { Row } from '../order/rows.ts'

/** What is being dragged: rows of the running order, an exercise from the list, or a saved part. */
export type Dragged =
  | { kind: 'rows'; rows: Exclude<Row, { kind: 'empty' }>[] }
  | { kind: 'move'; move: string }
  | { kind: 'part'; part: Part }

export type Edge = 'top' | 'bottom'

/** The id after an entry of a list, if any. */
const after = (list: readonly { id: string }[], id: string): string | undefined =>
  list[list.findIndex((entry) => entry.id === id) + 1]?.id

/** The block that stations dropped on a row go into, and the station they are inserted before. */
function stationPlace(row: Row, edge: Edge): { block: string; before?: string } | undefined {
  if (row.kind === 'station') {
    return { block: row.block.id, before: edge === 'top' ? row.id : after(stationsOf(row.block), row.id) }
  }
  const block = row.block ?? row.section.blocks.find(hasStations)
  if (!block || !hasStations(block)) return undefined
  return { block: block.id, before: stationsOf(block)[0]?.id }
}

/**
 * The edit a drop makes.
 *
 * @param on the row it is dropped on @param edge at which edge of it
 * @returns undefined if it cannot be dropped there
 */
export function dropEdit(
  dragged: Dragged,
  on: Row,
  edge: Edge,
  hold?: Policy['hold'],
): ((w: Session) => Session) | undefined {
  if (dragged.kind === 'part') return partEdit(dragged.part, on, edge)
  if (dragged.kind === 'move') {
    const move = library.moves.get(dragged.move)
    const place = stationPlace(on, edge)
    if (!move || !place) return undefined
    return (w) => {
      const blockNow = (now: Session) => findBlock(now, place.block)
      const added = addStation(
        w,
        place.block,
        putCells(move, w.groups, { form: blockNow(w).form, home: w.home, hold }, library),
      )
      const { id } = stationsOf(blockNow(added)).at(-1)!
      return place.before === undefined ? added : moveStationsTo(added, [id], place.block, place.before)
    }
  }
  const stations = dragged.rows.filter((r) => r.kind === 'station')
  if (stations.length) {
    const place = stationPlace(on, edge)
    const ids = stations.map((r) => r.id)
    return place && ((w) => moveStationsTo(w, ids, place.block, place.before))
  }
  const [row] = dragged.rows
  if (row?.kind === 'section') {
    // Below any row of a section means below the section.
    const before =
      edge === 'top' && on.kind === 'section' ? () => on.id : (w: Session) => after(w.sections, on.section.id)
    return on.section.id === row.id ? undefined : (w) => moveSectionTo(w, row.id, before(w))
  }
  if (row?.kind === 'block') {
    const { section } = on
    const before =
      on.kind === 'section'
        ? section.blocks[0]?.id
        : on.block && (edge === 'top' ? on.block.id : after(section.blocks, on.block.id))
    return before === row.id ? undefined : (w) => moveBlockTo(w, row.id, section.id, before)
  }
  return undefined
}

function partEdit(part: Part, on: Row, edge: Edge): ((w: Session) => Session) | undefined {
  if (part.kind === 'stations' && !stationPlace(on, edge)) return undefined
  return (w) =>
    pasteParts(w, [part], {
      section: on.section.id,
      block: on.block?.id,
      station: on.kind === 'station' ? on.id : undefined,
    })
}
