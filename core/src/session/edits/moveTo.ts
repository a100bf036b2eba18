import { hasStations, stationsOf, type Block } from '../forms.ts'
import { ProblemError } from '../../base/problem.ts'
import type { Section, Session } from '../schema.ts'
import type { Station } from '../station.ts'
import { blockPlace, findBlock, idsOf, inserted, sectionPlace, stationPlace, withStations } from './locate.ts'

/** Index of an entry by id; the end of the list if no id is given. */
function placeOf(list: readonly { id: string }[], before: string | undefined): number {
  if (before === undefined) return list.length
  const at = list.findIndex((entry) => entry.id === before)
  if (at < 0) throw new ProblemError([{ code: 'not-found', path: [before], received: before }])
  return at
}

const changedBlocks = (session: Session, change: (blocks: Block[], section: Section) => Block[]): Session => ({
  ...session,
  sections: session.sections.map((section) => {
    const blocks = change(section.blocks, section)
    return blocks === section.blocks ? section : { ...section, blocks }
  }),
})

/**
 * Moves stations, in their current order, to another place.
 *
 * @param stationIds existing ones; each once
 * @param blockId the block they go into
 * @param before id of the station to insert them before; by default, or if it is one of them with nothing after, the end
 * @throws {ProblemError} `not-found`, or `invalid` if the block takes no stations
 */
export function moveStationsTo(
  session: Session,
  stationIds: readonly string[],
  blockId: string,
  before?: string,
): Session {
  const moving = new Set(stationIds)
  const order = [...idsOf(session)].filter((id) => moving.has(id))
  for (const id of stationIds) stationPlace(session, id)
  const target = findBlock(session, blockId)
  // Dropped before an entry that moves along: the next one that stays marks the place.
  const stay = stationsOf(target)
  const at = before === undefined ? stay.length : placeOf(stay, before)
  const anchor = stay.slice(at).find((s) => !moving.has(s.id))?.id
  const taken: Station[] = order.map((id) => {
    const place = stationPlace(session, id)
    return stationsOf(session.sections[place.section]!.blocks[place.block]!)[place.station]!
  })
  const without = changedBlocks(session, (blocks) =>
    blocks.some((b) => stationsOf(b).some((s) => moving.has(s.id)))
      ? blocks.map((b) => (hasStations(b) ? { ...b, stations: b.stations.filter((s) => !moving.has(s.id)) } : b))
      : blocks,
  )
  const left = stationsOf(findBlock(without, blockId))
  const to = placeOf(left, anchor)
  return withStations(without, blockPlace(without, blockId), [...left.slice(0, to), ...taken, ...left.slice(to)])
}

/** Moves a block into a section. @param before id of the block it comes before; by default the end */
export function moveBlockTo(session: Session, blockId: string, sectionId: string, before?: string): Session {
  if (before === blockId) return session
  sectionPlace(session, sectionId)
  const block = findBlock(session, blockId)
  const without = changedBlocks(session, (blocks) =>
    blocks.some((b) => b.id === blockId) ? blocks.filter((b) => b.id !== blockId) : blocks,
  )
  return changedBlocks(without, (blocks, section) =>
    section.id === sectionId ? inserted(blocks, placeOf(blocks, before), block) : blocks,
  )
}

/** Moves a section. @param before id of the section it comes before; by default the end */
export function moveSectionTo(session: Session, sectionId: string, before?: string): Session {
  if (before === sectionId) return session
  const section = session.sections[sectionPlace(session, sectionId)]!
  const others = session.sections.filter((s) => s.id !== sectionId)
  return { ...session, sections: inserted(others, placeOf(others, before), section) }
}
