import { z } from 'zod'
import { figureSchema } from '../figure/schema.ts'
import { roles } from '../workout/schema.ts'
import { unitSchema } from '../workout/dose.ts'

export const publicationFormat = 'esfuerzo.publication'

const spanSchema = z.object({ low: z.number(), typical: z.number(), high: z.number() })

// Read leniently, unlike every other document: an installed page may be older than the session it runs, so a
// key it does not know is passed over and a kind it does not know is shown as work by the clock.
const stepSchema = z.object({
  at: z.number(),
  seconds: spanSchema,
  kind: z.enum(['work', 'rest', 'change', 'switch', 'talk', 'measure']).catch('work'),
  by: z.enum(['clock', 'count']).catch('clock'),
  section: z.string(),
  block: z.string(),
  station: z.string().optional(),
  lap: z.number().optional(),
  set: z.number().optional(),
  move: z.string().optional(),
  version: z.string().optional(),
  side: z.enum(['first', 'second']).optional(),
  reps: z.number().optional(),
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
  adult: z.boolean().optional(),
  versions: z.array(versionSchema),
})

/** A session as families see it: no teacher's notes, everything a run needs, nothing else. */
export const publicationSchema = z.object({
  format: z.literal(publicationFormat),
  version: z.number().int(),
  title: z.string(),
  target: z.string(),
  words: z.array(z.object({ word: z.string(), meaning: z.string() })),
  home: z.object({ space: z.string(), quiet: z.boolean(), company: z.string() }),
  kit: z.array(
    z.object({
      id: z.string(),
      name: z.string(),
      standIns: z.array(z.string()),
      /** What this school's homes take instead. */
      standIn: z.string().optional(),
      /** What a child asks first. */
      ask: z.string().optional(),
      /** Nobody needs it. */
      optional: z.boolean().optional(),
    }),
  ),
  /** Codes of the words of care, worded by the page. */
  care: z.array(z.string()),
  /** A line of the school's own, shown with the care. */
  schoolNote: z.string().optional(),
  sections: z.array(
    z.object({
      id: z.string(),
      role: z.enum(roles).catch('main'),
      title: z.string(),
      surprise: z.boolean().optional(),
      blocks: z.array(
        z.object({
          id: z.string(),
          title: z.string().optional(),
          stations: z.array(z.object({ id: z.string(), focus: z.string().optional(), record: unitSchema.optional() })),
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
    }),
  ),
  moves: z.array(moveSchema),
  figures: z.array(figureSchema.loose()),
})
export type Publication = z.infer<typeof publicationSchema>
export type Lane = Publication['lanes'][number]
export type PublishedMove = z.infer<typeof moveSchema>
