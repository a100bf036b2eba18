import { z } from 'zod'
import { ownMoveSchema } from '../terms/ownMove.ts'
import { blockSchema } from './forms.ts'
import { buildsSchema } from '../terms/builds.ts'
import { groupSchema } from '../terms/group.ts'
import { idSchema } from '../base/id.ts'
import { limits } from '../base/limits.ts'
import { spaceSchema } from '../terms/space.ts'
import { lineSchema, paragraphSchema } from '../base/text.ts'
import { roles } from '../terms/roles.ts'

export { roles, type Role } from '../terms/roles.ts'

export const aimSchema = z.strictObject({
  builds: z.array(buildsSchema).max(9),
  /** "We are learning to …" */
  target: paragraphSchema,
  words: z.array(z.strictObject({ word: lineSchema.min(1), meaning: paragraphSchema })).max(limits.words),
  muscle: idSchema.optional(),
  standards: z
    .array(z.strictObject({ code: lineSchema.min(1), text: paragraphSchema }))
    .max(12)
    .optional(),
})
export type Aim = z.infer<typeof aimSchema>

export const homeSchema = z.strictObject({
  space: spaceSchema,
  /** Neighbors below: nothing loud. */
  quiet: z.boolean(),
  company: z.enum(['alone', 'together']),
  kit: z.array(idSchema).max(60),
  /** What replaces equipment the home doesn't have, by its id, in the words families read. */
  standIns: z.record(idSchema, lineSchema.min(1)),
  outdoors: z.boolean(),
})
export type Home = z.infer<typeof homeSchema>

export const sectionSchema = z.strictObject({
  id: idSchema,
  role: z.enum(roles),
  title: lineSchema,
  /** A budget of its own. */
  minutes: z.int().min(1).max(120).optional(),
  /** Never cut. Games and cool-downs are kept by default. */
  keep: z.boolean().optional(),
  /** Hidden from children until it starts. */
  surprise: z.boolean().optional(),
  note: paragraphSchema.optional(),
  blocks: z.array(blockSchema).max(limits.blocks),
})
export interface Section extends z.infer<typeof sectionSchema> {}

export const sessionFormat = 'esfuerzo.workout'
/** An ignored check, by its key, with the reason if given. Never sent to families. */
export const answerSchema = z.strictObject({ finding: z.string().min(1).max(600), reason: lineSchema })
export type Answer = z.infer<typeof answerSchema>

export const sessionVersion = 4

/** The session a teacher makes: the single source of its type, its validation and its JSON Schema. */
export const sessionSchema = z.strictObject({
  format: z.literal(sessionFormat),
  version: z.literal(sessionVersion),
  title: lineSchema.min(1),
  aim: aimSchema,
  /** The session's minutes: the time limit. */
  minutes: z.int().min(1).max(120),
  /** Whether all groups are to end within 15 s of each other. */
  finishTogether: z.boolean(),
  /** Families are asked for the minutes a child moved this week. */
  asksMoved: z.literal(true).optional(),
  groups: z.array(groupSchema).min(1).max(limits.groups),
  home: homeSchema,
  libraryVersion: z.int().min(1),
  /** Checks she ignored in this session. */
  answered: z.array(answerSchema).min(1).max(limits.answers).optional(),
  /** The teacher's own exercises it uses. */
  moves: z.array(ownMoveSchema).max(limits.ownMoves).optional(),
  sections: z.array(sectionSchema).max(limits.sections),
})
// Interfaces instead of type aliases, so that generated declarations refer to them by name.
export interface Session extends z.infer<typeof sessionSchema> {}

/** Whether a section is never cut: as the teacher chose; by default games and cool-downs. */
export const isKept = (section: Pick<Section, 'role' | 'keep'>): boolean =>
  section.keep ?? (section.role === 'game' || section.role === 'coolDown')
