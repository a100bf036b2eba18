import { ProblemError } from '../../base/problem.ts'
import { zodProblems } from '../../base/zodProblems.ts'
import type { z } from 'zod'
import { blockSchema, hasStations, stationsOf, type Block, type StationBlock } from '../forms.ts'
import { limits } from '../../base/limits.ts'
import { settledPart } from '../../terms/perGroup.ts'
import { sectionSchema, type Section, type Session } from '../schema.ts'
import { stationSchema, type Station } from '../station.ts'

/** A station's place: indexes of its section, block and itself. */
export interface StationPlace {
  section: number
  block: number
  station: number
}

const groupIds = (session: Session) => session.groups.map((g) => g.id)
const notFound = (id: string) => new ProblemError([{ code: 'not-found', path: [id], received: id }])

/** Every id in use in a session, of any kind. */
export function* idsOf(session: Session): Generator<string> {
  for (const group of session.groups) yield group.id
  for (const section of session.sections) {
    yield section.id
    for (const block of section.blocks) {
      yield block.id
      for (const station of stationsOf(block)) yield station.id
    }
  }
}

/** @throws {ProblemError} `not-found` */
export function sectionPlace(session: Session, sectionId: string): number {
  const at = session.sections.findIndex((s) => s.id === sectionId)
  if (at < 0) throw notFound(sectionId)
  return at
}

/** @throws {ProblemError} `not-found` */
export function blockPlace(session: Session, blockId: string): { section: number; block: number } {
  for (const [section, s] of session.sections.entries()) {
    const block = s.blocks.findIndex((b) => b.id === blockId)
    if (block >= 0) return { section, block }
  }
  throw notFound(blockId)
}

/** @throws {ProblemError} `not-found` */
export function stationPlace(session: Session, stationId: string): StationPlace {
  for (const [section, s] of session.sections.entries()) {
    for (const [block, b] of s.blocks.entries()) {
      const station = stationsOf(b).findIndex((x) => x.id === stationId)
      if (station >= 0) return { section, block, station }
    }
  }
  throw notFound(stationId)
}

/** The block with an id. @throws {ProblemError} `not-found` */
export function findBlock(session: Session, blockId: string): Block {
  const place = blockPlace(session, blockId)
  return session.sections[place.section]!.blocks[place.block]!
}

/** The station with an id. @throws {ProblemError} `not-found` */
export function findStation(session: Session, stationId: string): Station {
  const place = stationPlace(session, stationId)
  return stationsOf(session.sections[place.section]!.blocks[place.block]!)[place.station]!
}

/** A part made by an edit, validated by its own schema, so that no edit can leave an invalid document. */
export function checked<S extends z.ZodType>(schema: S, part: unknown): z.output<S> {
  const result = schema.safeParse(part)
  if (!result.success) throw new ProblemError(zodProblems(result.error, part))
  return result.data
}

/** Replaces one entry of a list. */
export const replaced = <T>(list: readonly T[], at: number, entry: T): T[] =>
  list.map((old, i) => (i === at ? entry : old))

/** Inserts an entry into a list. */
export const inserted = <T>(list: readonly T[], at: number, entry: T): T[] => [
  ...list.slice(0, at),
  entry,
  ...list.slice(at),
]

/** Removes one entry of a list. */
export const without = <T>(list: readonly T[], at: number): T[] => list.filter((_, i) => i !== at)

/** Moves one entry of a list to another index. */
export const moved = <T>(list: readonly T[], from: number, to: number): T[] =>
  inserted(without(list, from), to, list[from]!)

/** Changes one section; its own fields are checked, its blocks are kept. */
export function changeSection(session: Session, sectionId: string, change: (section: Section) => Section): Session {
  const at = sectionPlace(session, sectionId)
  const next = change(session.sections[at]!)
  const { blocks: _blocks, ...fields } = next
  checked(sectionSchema.omit({ blocks: true }), fields)
  return { ...session, sections: replaced(session.sections, at, next) }
}

/** Changes one block and validates it. */
export function changeBlock(session: Session, blockId: string, change: (block: Block) => Block): Session {
  const place = blockPlace(session, blockId)
  const section = session.sections[place.section]!
  const next = settledPart(checked(blockSchema, change(section.blocks[place.block]!)), groupIds(session))
  return {
    ...session,
    sections: replaced(session.sections, place.section, {
      ...section,
      blocks: replaced(section.blocks, place.block, next),
    }),
  }
}

/** Changes one station and validates it. */
export function changeStation(session: Session, stationId: string, change: (station: Station) => Station): Session {
  const place = stationPlace(session, stationId)
  const section = session.sections[place.section]!
  const block = section.blocks[place.block] as StationBlock
  const next = settledPart(checked(stationSchema, change(block.stations[place.station]!)), groupIds(session))
  return withStations(session, place, replaced(block.stations, place.station, next))
}

/** Replaces a block's list of stations. */
export function withStations(
  session: Session,
  place: { section: number; block: number },
  stations: Station[],
): Session {
  const section = session.sections[place.section]!
  const block = section.blocks[place.block]!
  if (!hasStations(block)) {
    throw new ProblemError([
      { code: 'invalid', path: [block.id], expected: { rule: 'blockWithStations' }, received: block.form },
    ])
  }
  return {
    ...session,
    sections: replaced(session.sections, place.section, {
      ...section,
      blocks: replaced(section.blocks, place.block, { ...block, stations }),
    }),
  }
}

/**
 * Refuses a session that has grown past its limits of sections, blocks or stations.
 *
 * @throws {ProblemError} `too-many`, naming the limit
 */
export function withinLimits(session: Session): Session {
  const blocks = session.sections.flatMap((s) => s.blocks)
  const counts = {
    sections: session.sections.length,
    blocks: blocks.length,
    stations: blocks.reduce((n, b) => n + stationsOf(b).length, 0),
    groups: session.groups.length,
  }
  for (const [what, count] of Object.entries(counts) as [keyof typeof counts, number][]) {
    if (count > limits[what]) {
      throw new ProblemError([
        { code: 'too-many', path: [what], expected: { atMost: limits[what], of: what }, received: { count, of: what } },
      ])
    }
  }
  return session
}
