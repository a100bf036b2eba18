import * as z from 'zod/mini'
import type { DocumentKind } from '../documents/document.ts'
import type { Figure } from '../figure/schema.ts'
import { roles } from '../terms/roles.ts'
import { units } from '../terms/units.ts'
import { playSchema } from './playSchema.ts'

export const publicationFormat = 'esfuerzo.publication'

// Zod's small build, because a family's phone downloads this.
const spanSchema = z.object({ low: z.number(), typical: z.number(), high: z.number() })

// Read leniently, unlike every other document: an installed page may be older than the session it runs, so an unknown key is ignored and an
// unknown kind is shown as timed work.
const stepSchema = z.object({
  at: z.number(),
  seconds: spanSchema,
  kind: z.catch(z.enum(['work', 'rest', 'change', 'switch', 'talk', 'measure']), 'work'),
  by: z.catch(z.enum(['clock', 'count']), 'clock'),
  section: z.string(),
  block: z.string(),
  station: z.optional(z.string()),
  lap: z.optional(z.number()),
  set: z.optional(z.number()),
  move: z.optional(z.string()),
  version: z.optional(z.string()),
  side: z.optional(z.enum(['first', 'second'])),
  reps: z.optional(z.number()),
  /** Only if it is not led by the figure: the child's own pace, or slow. */
  tempo: z.optional(z.string()),
  say: z.object({
    code: z.string(),
    params: z.looseObject({}),
  }),
})

const versionSchema = z.object({
  id: z.string(),
  name: z.string(),
  how: z.string(),
  secondsPerRep: z.number(),
  figure: z.string(),
})

const moveSchema = z.object({
  id: z.string(),
  name: z.string(),
  standard: z.string(),
  cues: z.array(z.string()),
  cautions: z.array(z.string()),
  adult: z.optional(z.boolean()),
  /** From the easiest on: those a lane does, and easier ones. */
  versions: z.array(versionSchema),
})

/** A test as families get it: how to do it, not what it means. */
export const publishedMeasureSchema = z.object({
  id: z.string(),
  name: z.string(),
  figure: z.string(),
  practice: z.optional(z.string()),
  trials: z.number(),
  score: z.catch(z.enum(['best', 'mean', 'sum']), 'best'),
  unit: z.catch(z.enum(units), 'score'),
  in: z.string(),
  range: z.object({ from: z.number(), to: z.number(), step: z.number() }),
  better: z.catch(z.enum(['higher', 'lower', 'none']), 'none'),
  clock: z.object({
    kind: z.catch(z.enum(['down', 'up', 'none', 'pulse']), 'none'),
    seconds: z.optional(z.number()),
  }),
  setUps: z.array(z.object({ id: z.string(), name: z.string(), how: z.string() })),
  steps: z.array(z.string()),
  ends: z.string(),
  cautions: z.array(z.string()),
  shoes: z.catch(z.enum(['on', 'off', 'any']), 'any'),
})
export type PublishedMeasure = z.infer<typeof publishedMeasureSchema>

/** A session as families get it: no teacher's notes, everything a run needs, nothing else. */
export const publicationSchema = z.object({
  format: z.literal(publicationFormat),
  version: z.number(),
  title: z.string(),
  target: z.string(),
  words: z.array(z.object({ word: z.string(), meaning: z.string() })),
  home: z.object({ space: z.string(), quiet: z.boolean(), company: z.string() }),
  kit: z.array(
    z.object({
      id: z.string(),
      name: z.string(),
      standIns: z.array(z.string()),
      /** The stand-ins used by this school's homes. */
      standIn: z.optional(z.string()),
      /** What a child asks first. */
      ask: z.optional(z.string()),
      /** Optional. */
      optional: z.optional(z.boolean()),
    }),
  ),
  /** Codes of the care texts, worded by the page. */
  care: z.array(z.string()),
  /** Whether the minutes a child moved this week are sent. */
  asksMoved: z.optional(z.boolean()),
  /** A line of the school's own, shown with the care texts. */
  schoolNote: z.optional(z.string()),
  sections: z.array(
    z.object({
      id: z.string(),
      role: z.catch(z.enum(roles), 'main'),
      title: z.string(),
      surprise: z.optional(z.boolean()),
      blocks: z.array(
        z.object({
          id: z.string(),
          title: z.optional(z.string()),
          stations: z.array(
            z.object({
              id: z.string(),
              focus: z.optional(z.string()),
              record: z.optional(z.enum(units)),
              /** The teacher's own words for it, and for easier and harder ways. */
              note: z.optional(z.string()),
              easier: z.optional(z.string()),
              harder: z.optional(z.string()),
            }),
          ),
        }),
      ),
    }),
  ),
  lanes: z.array(
    z.object({
      id: z.string(),
      letter: z.string(),
      name: z.string(),
      grades: z.array(z.number()),
      pace: z.number(),
      seconds: spanSchema,
      steps: z.array(stepSchema),
      /** What is played in a block, by its id. */
      /** The version of each exercise that a child of the lane may choose instead. */
      choices: z.catch(z.record(z.string(), z.string()), {}),
      /** Kilograms used at each of its stations. */
      loads: z.catch(z.record(z.string(), z.number()), {}),
      plays: z.catch(z.record(z.string(), z.catch(z.optional(playSchema), undefined)), {}),
    }),
  ),
  moves: z.array(moveSchema),
  /** Its tests with their set-ups. Older sessions have none. */
  measures: z.catch(z.optional(z.array(publishedMeasureSchema)), undefined),
  figures: z.array(z.custom<Figure>((figure) => typeof figure === 'object' && figure !== null && 'poses' in figure)),
  /** The library's texts used here in other languages, by the English text. */
  phrases: z.catch(z.object({ es: z.optional(z.record(z.string(), z.string())) }), {}),
})
export interface Publication extends z.infer<typeof publicationSchema> {}

/** A publication as a document. Its file is named by its hash and never rewritten: it is migrated whenever it is read. */
export const publicationDocument: DocumentKind<Publication> = {
  format: publicationFormat,
  version: 1,
  schema: publicationSchema,
  migrations: {},
}
export type Lane = Publication['lanes'][number]
export type PublishedMove = z.infer<typeof moveSchema>
