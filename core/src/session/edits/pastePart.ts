import { ProblemError } from '../../base/problem.ts'
import { hasStations, stationsOf } from '../forms.ts'
import { fittedTo, type Part } from '../part.ts'
import { settledPart } from '../../terms/perGroup.ts'
import type { Workout } from '../schema.ts'
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
 * Puts pieces in one after the other, the first after the place, each next after the one before.
 *
 * @throws {ProblemError} as {@link pastePart} does; then none of them is in
 */
export function pasteParts(workout: Workout, parts: readonly Part[], place: PastePlace): Workout {
  let now = workout
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
 * Puts a copied piece in after the place of its own kind: stations after a station, a block after a block, a
 * section after a section. Ids are new; each group takes what the group most like it had where the piece was made.
 *
 * @throws {ProblemError} `not-found` where there is no block for a station, `too-many` past the limits
 */
export function pastePart(workout: Workout, part: Part, place: PastePlace): Workout {
  const groupIds = workout.groups.map((g) => g.id)
  const fitted = <T>(piece: T): T => settledPart(fittedTo(piece, part.groups, workout), groupIds)
  const sectionAt = sectionPlace(workout, place.section)
  const section = workout.sections[sectionAt]!
  if (part.kind === 'section') {
    const added = fresh(workout, fitted(part.section))
    return withinLimits({ ...workout, sections: inserted(workout.sections, sectionAt + 1, added) })
  }
  if (part.kind === 'block') {
    const at = place.block ? blockPlace(workout, place.block).block + 1 : section.blocks.length
    const blocks = inserted(section.blocks, at, fresh(workout, fitted(part.block)))
    return withinLimits({ ...workout, sections: replaced(workout.sections, sectionAt, { ...section, blocks }) })
  }
  const block = place.block ? section.blocks.find((b) => b.id === place.block) : section.blocks.find(hasStations)
  if (!block || !hasStations(block)) {
    throw new ProblemError([{ code: 'not-found', path: [place.section], expected: { rule: 'blockWithStations' } }])
  }
  const at = place.station ? stationPlace(workout, place.station).station + 1 : stationsOf(block).length
  let next = workout
  part.stations.forEach((station, i) => {
    const stations = stationsOf(next.sections[sectionAt]!.blocks.find((b) => b.id === block.id)!)
    const added = fresh(next, fitted(station))
    next = withinLimits(withStations(next, blockPlace(next, block.id), inserted(stations, at + i, added)))
  })
  return next
}
