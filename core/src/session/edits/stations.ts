import { ProblemError } from '../../base/problem.ts'
import { hasStations, stationsOf } from '../forms.ts'
import { nextId } from '../../base/id.ts'
import { mapGroups, type PerGroup, type Scope } from '../../terms/perGroup.ts'
import type { Session } from '../schema.ts'
import { stationSchema, type Cell, type Station } from '../station.ts'
import { fresh } from './fresh.ts'
import {
  blockPlace,
  changeStation,
  checked,
  idsOf,
  inserted,
  moved,
  stationPlace,
  withStations,
  withinLimits,
  without,
} from './locate.ts'

/**
 * Adds a station to a block.
 *
 * @param cells what each group does there
 * @param after id of the station it follows; by default it goes last in the block
 */
export function addStation(session: Session, blockId: string, cells: PerGroup<Cell>, after?: string): Session {
  const place = blockPlace(session, blockId)
  const stations = stationsOf(session.sections[place.section]!.blocks[place.block]!)
  const at = after === undefined ? stations.length : stationPlace(session, after).station + 1
  const station = checked(stationSchema, { id: nextId(idsOf(session), 's'), cells })
  return withinLimits(withStations(session, place, inserted(stations, at, station)))
}

/** Removes a station from its block. @throws {ProblemError} `not-found` */
export function removeStation(session: Session, stationId: string): Session {
  const place = stationPlace(session, stationId)
  const stations = stationsOf(session.sections[place.section]!.blocks[place.block]!)
  return withStations(session, place, without(stations, place.station))
}

/** Inserts a copy of a station, with a new id, right after it. */
export function duplicateStation(session: Session, stationId: string): Session {
  const place = stationPlace(session, stationId)
  const stations = stationsOf(session.sections[place.section]!.blocks[place.block]!)
  const copy = fresh(session, stations[place.station]!)
  return withinLimits(withStations(session, place, inserted(stations, place.station + 1, copy)))
}

/**
 * Moves a station up (−1) or down (1); past the end of its block it goes into the nearest block that has stations. At either end of the
 * session nothing changes.
 */
export function moveStation(session: Session, stationId: string, by: -1 | 1): Session {
  const place = stationPlace(session, stationId)
  const stations = stationsOf(session.sections[place.section]!.blocks[place.block]!)
  const to = place.station + by
  if (to >= 0 && to < stations.length) return withStations(session, place, moved(stations, place.station, to))

  const blocks = session.sections.flatMap((s, section) => s.blocks.map((b, block) => ({ section, block, b })))
  let at = blocks.findIndex((x) => x.section === place.section && x.block === place.block) + by
  while (blocks[at] && !hasStations(blocks[at]!.b)) at += by
  const target = blocks[at]
  if (!target) return session
  const others = stationsOf(target.b)
  const taken = withStations(session, place, without(stations, place.station))
  return withStations(taken, target, inserted(others, by < 0 ? others.length : 0, stations[place.station]!))
}

/**
 * Changes the order of a block's stations.
 *
 * @param order every station's id, first to last
 * @throws {ProblemError} `not-found` if the block's stations have changed since
 */
export function reorderStations(session: Session, blockId: string, order: readonly string[]): Session {
  const place = blockPlace(session, blockId)
  const stations = stationsOf(session.sections[place.section]!.blocks[place.block]!)
  const missing =
    stations.find((s) => !order.includes(s.id))?.id ?? order.find((id) => !stations.some((s) => s.id === id))
  if (missing !== undefined || order.length !== stations.length)
    throw new ProblemError([{ code: 'not-found', path: [blockId], received: missing ?? order.join() }])
  return withStations(
    session,
    place,
    order.map((id) => stations.find((s) => s.id === id)!),
  )
}

/**
 * Changes what some groups do at a station, and no other group.
 *
 * @param change from the current cell to the new one
 * @example setCell(w, 's4', ['g1'], (cell) => ({ ...cell, version: 'frog' }))
 */
export function setCell(session: Session, stationId: string, scope: Scope, change: (cell: Cell) => Cell): Session {
  return changeStation(session, stationId, (station) => ({
    ...station,
    cells: mapGroups(station.cells, scope, change),
  }))
}

/** Changes a station's own fields: story name, focus, record, pinned, optional. Undefined removes a field. */
export function setStation(
  session: Session,
  stationId: string,
  fields: Partial<Omit<Station, 'id' | 'cells'>>,
): Session {
  return changeStation(session, stationId, (station) => ({ ...station, ...fields }))
}
