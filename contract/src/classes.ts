import { z } from 'zod'
import { languages, lineSchema, paceSchema, paragraphSchema, rule } from '@esfuerzo/core'
import { aliasSchema, daySchema, keepMonthsSchema, pupilRoom } from '@esfuerzo/core/classBook'
import { endpoint, none } from './endpoint.ts'
import { idParams, momentSchema } from './fields.ts'
import { papers } from './papers.ts'

/** A class by its name and grades, and until when it keeps results; nothing of a child is in it. */
const classFields = z.strictObject({
  name: lineSchema.min(1),
  grades: z
    .array(z.int().min(0).max(6))
    .min(1)
    .max(7)
    .refine((grades) => grades.every((g, i) => i === 0 || g > grades[i - 1]!), { error: rule('gradesRising') }),
  /** The school year's last day; the usual one where left out. */
  yearEnds: daySchema.optional(),
  /** Months past it for which results are kept; none where left out. */
  keepMonths: keepMonthsSchema.optional(),
  /** Its own pace, where that counts; null where the usual one does. */
  pace: paceSchema.nullable().optional(),
})
export const classSchema = classFields.required().extend({ id: z.uuid(), pupils: z.int() })
export type SchoolClass = z.infer<typeof classSchema>

/** What a teacher notes of a pupil: a family may ask to read it. */
const pupilNoteSchema = paragraphSchema

export const pupilSchema = z.strictObject({
  id: z.uuid(),
  alias: aliasSchema,
  note: pupilNoteSchema,
  /** Results of its own, of whatever session. */
  results: z.int(),
})
export type Pupil = z.infer<typeof pupilSchema>

const removedPupilSchema = z.strictObject({
  id: z.uuid(),
  alias: aliasSchema,
  /** When it is gone for good. */
  goneAt: momentSchema,
})
export type RemovedPupil = z.infer<typeof removedPupilSchema>
const removedClassSchema = z.strictObject({
  id: z.uuid(),
  name: lineSchema,
  pupils: z.int(),
  goneAt: momentSchema,
})
export type RemovedClass = z.infer<typeof removedClassSchema>

const aliases = z.array(aliasSchema).min(1).max(pupilRoom)

/** The classes a teacher hands sessions out to. */
export const classEndpoints = {
  /** How long it takes beside what is usual, from its own runs; null where too few children say it. */
  readPace: endpoint({
    method: 'GET',
    path: '/api/classes/:id/pace',
    access: 'teacher',
    params: idParams,
    answer: z.strictObject({
      pace: z
        .strictObject({
          pace: paceSchema,
          quartiles: z.strictObject({ from: z.number(), to: z.number() }),
          children: z.int(),
        })
        .nullable(),
    }),
  }),
  listClasses: endpoint({
    method: 'GET',
    path: '/api/classes',
    access: 'teacher',
    answer: z.strictObject({
      classes: z.array(classSchema),
      /** Those that were taken away and are not gone yet. */
      removed: z.array(removedClassSchema),
    }),
  }),
  addClass: endpoint({
    method: 'POST',
    path: '/api/classes',
    access: 'teacher',
    body: classFields,
    answer: classSchema,
  }),
  /** Changes what is sent and nothing else: another tab may have changed the rest meanwhile. */
  saveClass: endpoint({
    method: 'PUT',
    path: '/api/classes/:id',
    access: 'teacher',
    params: idParams,
    body: classFields.partial(),
    answer: classSchema,
  }),
  removeClass: endpoint({
    method: 'DELETE',
    path: '/api/classes/:id',
    access: 'teacher',
    params: idParams,
    answer: z.strictObject({}),
  }),
  restoreClass: endpoint({
    method: 'POST',
    path: '/api/classes/:id/restore',
    access: 'teacher',
    params: idParams,
    answer: classSchema,
  }),
  /** A class with its pupils, by alias, and those that were taken away and are not gone yet. */
  readClass: endpoint({
    method: 'GET',
    path: '/api/classes/:id',
    access: 'teacher',
    params: idParams,
    answer: z.strictObject({
      class: classSchema,
      pupils: z.array(pupilSchema),
      removed: z.array(removedPupilSchema),
    }),
  }),
  /** All of them or none. */
  addPupils: endpoint({
    method: 'POST',
    path: '/api/classes/:id/pupils',
    access: 'teacher',
    params: idParams,
    body: z.strictObject({ aliases }),
    answer: z.strictObject({ pupils: z.array(pupilSchema) }),
  }),
  /** Codes to cut out, as PDF: of some, or of the whole class. */
  slips: endpoint({
    method: 'GET',
    path: '/api/classes/:id/slips',
    access: 'teacher',
    params: idParams,
    query: z.strictObject({
      pupils: z
        .string()
        .max(37 * pupilRoom)
        .refine((list) => z.array(z.uuid()).safeParse(list.split(',')).success, rule('pupilsWithCommas'))
        .optional(),
      language: z.enum(languages).default('en'),
      paper: z.enum(papers).default('a4'),
    }),
    answer: z.unknown(),
  }),
  /** Another alias or note; into another class, with its results. What is not sent stays. */
  savePupil: endpoint({
    method: 'PUT',
    path: '/api/pupils/:id',
    access: 'teacher',
    params: idParams,
    body: z.strictObject({ alias: aliasSchema, note: pupilNoteSchema, classId: z.uuid() }).partial(),
    answer: pupilSchema,
  }),
  /** Another code; the one before opens nothing from then on, nor does a device that gave it. */
  renewCode: endpoint({
    method: 'POST',
    path: '/api/pupils/:id/code',
    access: 'teacher',
    params: idParams,
    answer: none,
  }),
  removePupil: endpoint({
    method: 'DELETE',
    path: '/api/pupils/:id',
    access: 'teacher',
    params: idParams,
    answer: none,
  }),
  restorePupil: endpoint({
    method: 'POST',
    path: '/api/pupils/:id/restore',
    access: 'teacher',
    params: idParams,
    answer: pupilSchema,
  }),
  /** For good, with all it did. */
  deletePupil: endpoint({
    method: 'DELETE',
    path: '/api/bin/pupils/:id',
    access: 'teacher',
    params: idParams,
    answer: none,
  }),
  /** All that is kept of one pupil, for its family. */
  exportPupil: endpoint({
    method: 'GET',
    path: '/api/pupils/:id/file',
    access: 'teacher',
    params: idParams,
    query: z.strictObject({ as: z.enum(['json', 'csv']).default('json') }),
    answer: z.unknown(),
  }),
}
