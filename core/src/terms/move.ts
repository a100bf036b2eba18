import { z } from 'zod'
import { rule } from '../base/problem.ts'
import { unitSchema } from './dose.ts'
import { gradeSchema } from './group.ts'
import { idSchema } from '../base/id.ts'
import { buildsSchema } from './builds.ts'
import { spaceSchema } from './space.ts'
import { cleanText, lineSchema, paragraphSchema } from '../base/text.ts'

export const families = [
  'squat',
  'lunge',
  'hinge',
  'push',
  'pull',
  'brace',
  'curl',
  'extend',
  'twist',
  'jump',
  'travel',
  'balance',
  'throwCatch',
  'strike',
  'dribble',
  'stretch',
  'breathe',
  'game',
] as const
export type Family = (typeof families)[number]

export const categories = ['bodyAwareness', 'rangeOfMotion', 'objectControl', 'coordination', 'gamePlay'] as const

export const postureSchema = z.enum([
  'standing',
  'leaning',
  'kneeling',
  'handsAndFeet',
  'seated',
  'lyingFront',
  'lyingBack',
])
export type Posture = z.infer<typeof postureSchema>

/** `alternating` counts one per side change; `each` is all of one side, then all of the other. */
export const sidesSchema = z.enum(['both', 'alternating', 'each'])
export type Sides = z.infer<typeof sidesSchema>

const needsSchema = z
  .array(
    z.strictObject({
      id: idSchema,
      optional: z.boolean().optional(),
      /** False if nothing may replace it here, whatever replaces it elsewhere. */
      standIn: z.literal(false).optional(),
    }),
  )
  .max(4)
const noiseSchema = z.enum(['quiet', 'thud'])

/** One way to do an exercise, on the ladder from easiest to hardest. Missing fields are the exercise's. */
export const versionSchema = z.strictObject({
  id: idSchema,
  name: lineSchema.min(1),
  /** How it differs, in a child's words. */
  how: lineSchema.min(1),
  fromGrade: gradeSchema,
  /** At the led pace, for grades 4–6; for a held exercise the seconds of one breath of the figure. */
  secondsPerRep: z.number().min(0.2).max(30),
  /** For an exercise that travels: seconds for each meter, including the way back if it has one. */
  secondsPerMetre: z.number().min(0.1).max(30).optional(),
  /** For an exercise whose turn is more than one rep: a hopscotch there and back, one duel. */
  secondsPerGo: z.number().min(1).max(60).optional(),
  /** Relative effort (METs of the adult Compendium), to rank exercises, never as energy. */
  met: z.number().min(1).max(15),
  /** Weight of a landing: 0 none, 0.25 low bounce or jack, 1 full-effort jump. */
  impact: z.number().min(0).max(1),
  /** Landings of one rep if there are several: hopscotch lands on one foot, then on two. */
  landings: z.number().int().min(2).max(20).optional(),
  /** A hard landing: from a height, on one leg, or with the knees drawn up. */
  hard: z.boolean().optional(),
  posture: postureSchema.optional(),
  sides: sidesSchema.optional(),
  space: spaceSchema.optional(),
  noise: noiseSchema.optional(),
  kit: needsSchema.optional(),
  /** An adult must be present for this version. */
  adult: z.boolean().optional(),
  figure: idSchema.optional(),
})
export interface Version extends z.infer<typeof versionSchema> {}

export const moveSchema = z
  .strictObject({
    id: idSchema,
    name: lineSchema.min(1),
    /** A child's name, invented by us. */
    playName: lineSchema.min(1).optional(),
    synonyms: z.array(lineSchema.min(1)).max(20),
    /** Names that are understood when typed but never shown: names of punishment, of films. */
    understood: z.array(lineSchema.min(1)).max(10).optional(),
    retired: z.boolean().optional(),
    replacedBy: idSchema.optional(),
    family: z.enum(families),
    category: z.enum(categories),
    coordination: z.array(z.enum(['balance', 'rhythm', 'reaction', 'force', 'space'])).optional(),
    builds: z.array(buildsSchema).min(1),
    muscles: z.strictObject({ main: z.array(idSchema), also: z.array(idSchema) }),
    posture: postureSchema,
    sides: sidesSchema,
    measures: z.array(unitSchema).min(1),
    space: spaceSchema,
    noise: noiseSchema,
    /** Arms, ball or child go well above the head. */
    height: z.boolean().optional(),
    kit: needsSchema,
    /** A weight can be held. */
    loadable: z.boolean().optional(),
    /** The closest activity in the Compendium, by code; `ours` if there is none. */
    effort: z.string().regex(/^(?:\d{5}|ours)$/),
    versions: z.array(versionSchema).min(1).max(5),
    /** The id of the standard version. */
    standard: idSchema,
    // A line as typed or pasted, without characters that no database stores.
    cues: z
      .array(
        z
          .string()
          .overwrite((cue) => cleanText(cue, 'line'))
          .min(1)
          .max(60),
      )
      .min(1)
      .max(4),
    faults: z.array(z.strictObject({ see: lineSchema, say: lineSchema })),
    cautions: z.array(paragraphSchema),
    /** An adult must be by. */
    adult: z.boolean().optional(),
    /** Somebody else takes part. */
    together: z.boolean().optional(),
    /** For a stretch: the muscles it lengthens. */
    stretches: z.array(idSchema).optional(),
    /** Exercises that undo a held position. */
    counters: z.array(idSchema).optional(),
    figure: idSchema,
  })
  .refine((m) => m.versions.some((v) => v.id === m.standard), {
    path: ['standard'],
    error: rule('oneOfItsVersions'),
    params: { code: 'unknown-version' },
  })
export interface Move extends z.infer<typeof moveSchema> {}
