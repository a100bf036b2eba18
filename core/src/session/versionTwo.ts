import type { Block } from './forms.ts'
import type { Section } from './schema.ts'
import type { Station } from './station.ts'

/**
 * What version 2 of sessions and pieces added to version 1: a section's own minutes, the teacher's words at a station, any row of rungs on
 * a ladder, and the number a child picks per group, which was one number for all.
 */
const newAtStation = ['note', 'easier', 'harder'] as const satisfies readonly (keyof Station)[]

type Bag = Record<string, unknown>
const isBag = (value: unknown): value is Bag => value !== null && typeof value === 'object' && !Array.isArray(value)

/** A block of version 1, of any shape, in version 2. */
export const blockFromFirst = (block: unknown): unknown =>
  isBag(block) && block.form === 'intervals' && typeof block.pick === 'number'
    ? { ...block, pick: { all: block.pick } }
    : block

/** A section of version 1, of any shape, in version 2. */
export const sectionFromFirst = (section: unknown): unknown =>
  isBag(section) && Array.isArray(section.blocks) ? { ...section, blocks: section.blocks.map(blockFromFirst) } : section

export const sectionsFromFirst = (sections: unknown): unknown =>
  Array.isArray(sections) ? sections.map(sectionFromFirst) : sections

export const stationsAsBefore = (stations: readonly Station[]): readonly Station[] | undefined =>
  stations.some((station) => newAtStation.some((key) => station[key] !== undefined)) ? undefined : stations

/** A block in version 1; undefined if it needs more than version 1 can say. */
export function blockAsBefore(block: Block): unknown {
  if ('stations' in block && !stationsAsBefore(block.stations)) return undefined
  if (block.form === 'ladder' && block.rungs) return undefined
  if (block.form !== 'intervals' || !block.pick) return block
  return block.pick.by ? undefined : { ...block, pick: block.pick.all }
}

/** A section in version 1; undefined if it needs more than version 1 can say. */
export function sectionAsBefore(section: Section): unknown {
  if (section.minutes !== undefined) return undefined
  const blocks = section.blocks.map(blockAsBefore)
  return blocks.includes(undefined) ? undefined : { ...section, blocks }
}

export function sectionsAsBefore(sections: readonly Section[]): unknown[] | undefined {
  const before = sections.map(sectionAsBefore)
  return before.includes(undefined) ? undefined : before
}
