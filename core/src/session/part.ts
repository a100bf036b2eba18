import { z } from 'zod'
import { readDocument, type DocumentKind } from '../documents/document.ts'
import { blockSchema, type Block } from './forms.ts'
import { gradeSchema, type Group } from '../terms/group.ts'
import { idSchema } from '../base/id.ts'
import { limits } from '../base/limits.ts'
import { canonical, looksPerGroup } from '../terms/perGroup.ts'
import { sectionSchema, type Section, type Session } from './schema.ts'
import { stationSchema, type Station } from './station.ts'
import { saysNewTest } from './versionFour.ts'
import { blockAsBefore, blockFromFirst, sectionAsBefore, sectionFromFirst, stationsAsBefore } from './versionTwo.ts'

export const partFormat = 'esfuerzo.part'

/** The groups of the session a part comes from: only what is needed to find similar ones in another. */
const groupsSchema = z
  .array(z.strictObject({ id: idSchema, grades: z.array(gradeSchema).min(1).max(7) }))
  .min(1)
  .max(limits.groups)
type PartGroups = z.infer<typeof groupsSchema>

const head = { format: z.literal(partFormat), version: z.literal(3), groups: groupsSchema }

const stationsPartSchema = z.strictObject({
  ...head,
  kind: z.literal('stations'),
  stations: z.array(stationSchema).min(1).max(limits.stations),
})
const blockPartSchema = z.strictObject({ ...head, kind: z.literal('block'), block: blockSchema })
const sectionPartSchema = z.strictObject({ ...head, kind: z.literal('section'), section: sectionSchema })
interface StationsPart extends z.infer<typeof stationsPartSchema> {}
interface BlockPart extends z.infer<typeof blockPartSchema> {}
interface SectionPart extends z.infer<typeof sectionPartSchema> {}

/** A piece of a session to be inserted elsewhere: on the clipboard or in the saved parts. */
export const partSchema: z.ZodType<Part> = z.discriminatedUnion('kind', [
  stationsPartSchema,
  blockPartSchema,
  sectionPartSchema,
])
export type Part = StationsPart | BlockPart | SectionPart

/** A piece of a session as a document. */
export const partDocument: DocumentKind<Part> = {
  format: partFormat,
  version: 3,
  schema: partSchema,
  migrations: {
    1: (part) => ({
      ...part,
      ...(part.block !== undefined && { block: blockFromFirst(part.block) }),
      ...(part.section !== undefined && { section: sectionFromFirst(part.section) }),
    }),
    2: (part) => part,
  },
  asBefore: (part) => {
    if (part.kind === 'stations') return { ...part, version: stationsAsBefore(part.stations) ? 1 : 2 }
    if ((part.kind === 'block' ? [part.block] : part.section.blocks).some(saysNewTest)) return undefined
    const before = part.kind === 'block' ? blockAsBefore(part.block) : sectionAsBefore(part.section)
    return before === undefined ? { ...part, version: 2 } : { ...part, version: 1, [part.kind]: before }
  },
}

/**
 * A piece as it is copied or saved.
 *
 * @param session the session it comes from
 * @param piece a section, a block, or one or more stations
 */
export function partOf(session: Session, piece: Section | Block | readonly Station[]): Part {
  const groups = session.groups.map(({ id, grades }) => ({ id, grades }))
  const base = { format: partFormat, version: 3, groups } as const
  if ('blocks' in piece) return { ...base, kind: 'section', section: piece }
  if ('form' in piece) return { ...base, kind: 'block', block: piece }
  return { ...base, kind: 'stations', stations: [...piece] }
}

/**
 * Reads a copied piece from text.
 *
 * @returns undefined if the text is not a piece of ours
 * @throws {ProblemError} if it claims to be one but is not valid, naming every mistake
 */
export function readPart(text: string): Part | undefined {
  let data: unknown
  try {
    data = JSON.parse(text)
  } catch {
    return undefined
  }
  if (data === null || typeof data !== 'object' || (data as { format?: unknown }).format !== partFormat)
    return undefined
  return readDocument(partDocument, data)
}

/**
 * For each group of a session, the most similar group of another: the one with the most grades in common, otherwise the nearest by mean
 * grade.
 *
 * @example likeGroups([{ id: 'g1', grades: [4, 5] }], [{ id: 'x', grades: [0] }, { id: 'y', grades: [5, 6] }]).get('g1') // 'y'
 */
export function likeGroups(
  groups: readonly Pick<Group, 'id' | 'grades'>[],
  others: PartGroups,
): ReadonlyMap<string, string> {
  const mean = (grades: readonly number[]) => grades.reduce((sum, g) => sum + g, 0) / grades.length
  const unlike = (a: readonly number[], b: readonly number[]) =>
    Math.abs(mean(a) - mean(b)) - 100 * a.filter((g) => b.includes(g)).length
  return new Map(
    groups.map(({ id, grades }) => [
      id,
      others.reduce((best, other) => (unlike(grades, other.grades) < unlike(grades, best.grades) ? other : best)).id,
    ]),
  )
}

/**
 * A piece from another session with its per-group values mapped to this one's groups: each gets the values of the most similar group.
 *
 * @param from the groups of the session it comes from
 */
export function fittedTo<T>(piece: T, from: PartGroups, session: Session): T {
  const like = likeGroups(session.groups, from)
  const walk = (value: unknown): unknown => {
    if (value === null || typeof value !== 'object') return value
    if (Array.isArray(value)) return value.map(walk)
    if (looksPerGroup(value)) {
      const own = session.groups.flatMap(({ id }): [string, unknown][] => {
        const theirs = like.get(id)!
        return value.by && Object.hasOwn(value.by, theirs) ? [[id, value.by[theirs]]] : []
      })
      return canonical({ all: value.all, by: Object.fromEntries(own) })
    }
    return Object.fromEntries(Object.entries(value).map(([key, inner]) => [key, walk(inner)]))
  }
  return walk(piece) as T
}
