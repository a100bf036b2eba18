import { ProblemError } from '../../base/problem.ts'
import { hasStations, stationsOf } from '../forms.ts'
import { fittedTo, type Part } from '../part.ts'
import { settledPart } from '../../terms/perGroup.ts'
import type { Session } from '../schema.ts'
import { fresh } from './fresh.ts'
import {
  blockPlace,
  idsOf,
  inserted,
  replaced,
  sectionPlace,
  stationPlace,
  withinLimits,
  withStations,
} from './locate.ts'

/** Where a piece is put: the section the cursor is in, and the block and station it is on, if any. */
export interface PastePlace {
  section: string
  block?: string
  station?: string
}

/**
 * Inserts several pieces in a row, the first after the place, each next one after the one before.
 *
 * @throws {ProblemError} like {@link pastePart}; then none of them is inserted
 */
export function pasteParts(session: Session, parts: readonly Part[], place: PastePlace): Session {
  let now = session
  let at = place
  for (const part of parts) {
    const before = new Set(idsOf(now))
    now = pastePart(now, part, at)
    const section = now.sections.find((s) => !before.has(s.id))
    const block = now.sections.flatMap((s) => s.blocks).find((b) => !before.has(b.id))
    at = section ? { section: section.id } : block ? { section: at.section, block: block.id } : at
  }
  return now
}

/**
 * Inserts a copied piece after the place of its own kind: stations after a station, a block after a block, a section after a section. Ids
 * are new; each group gets the values of the most similar group of the piece's session.
 *
 * @throws {ProblemError} `not-found` if there is no block for a station, `too-many` above the limits
 */
export function pastePart(session: Session, part: Part, place: PastePlace): Session {
  const groupIds = session.groups.map((g) => g.id)
  const fitted = <T>(piece: T): T => settledPart(fittedTo(piece, part.groups, session), groupIds)
  const sectionAt = sectionPlace(session, place.section)
  const section = session.sections[sectionAt]!
  if (part.kind === 'section') {
    const added = fresh(session, fitted(part.section))
    return withinLimits({ ...session, sections: inserted(session.sections, sectionAt + 1, added) })
  }
  if (part.kind === 'block') {
    const at = place.block ? blockPlace(session, place.block).block + 1 : section.blocks.length
    const blocks = inserted(section.blocks, at, fresh(session, fitted(part.block)))
    return withinLimits({ ...session, sections: replaced(session.sections, sectionAt, { ...section, blocks }) })
  }
  const block = place.block ? section.blocks.find((b) => b.id === place.block) : section.blocks.find(hasStations)
  if (!block || !hasStations(block)) {
    throw new ProblemError([{ code: 'not-found', path: [place.section], expected: { rule: 'blockWithStations' } }])
  }
  const at = place.station ? stationPlace(session, place.station).station + 1 : stationsOf(block).length
  let next = session
  part.stations.forEach((station, i) => {
    const stations = stationsOf(next.sections[sectionAt]!.blocks.find((b) => b.id === block.id)!)
    const added = fresh(next, fitted(station))
    next = withinLimits(withStations(next, blockPlace(next, block.id), inserted(stations, at + i, added)))
  })
  return next
}
