import { z } from 'zod'
import { languages, lineSchema, paceSchema, paragraphSchema, rule } from '@esfuerzo/core'
import { aliasSchema, daySchema, keepMonthsSchema, pupilRoom } from '@esfuerzo/core/classBook'
import { endpoint, none } from './endpoint.ts'
import { idParams, momentSchema } from './fields.ts'
import { papers } from './papers.ts'

/** A class: name, grades, and how long it keeps results. It holds nothing about a child. */
const classFields = z.strictObject({
  name: lineSchema.min(1),
  grades: z
    .array(z.int().min(0).max(6))
    .min(1)
    .max(7)
    .refine((grades) => grades.every((g, i) => i === 0 || g > grades[i - 1]!), { error: rule('gradesRising') }),
  /** The last day of the school year; the usual day by default. */
  yearEnds: daySchema.optional(),
  /** Months after the end of the year for which results are kept; none by default. */
  keepMonths: keepMonthsSchema.optional(),
  /** Its own pace, if it is used; null for the usual one. */
  pace: paceSchema.nullable().optional(),
})
export const classSchema = classFields.required().extend({ id: z.uuid(), pupils: z.int() })
export type SchoolClass = z.infer<typeof classSchema>

/** A teacher's note about a pupil: a family may ask to read it. */
const pupilNoteSchema = paragraphSchema

export const pupilSchema = z.strictObject({
  id: z.uuid(),
  alias: aliasSchema,
  note: pupilNoteSchema,
  /** Its results in all sessions. */
  results: z.int(),
})
export type Pupil = z.infer<typeof pupilSchema>

const removedPupilSchema = z.strictObject({
  id: z.uuid(),
  alias: aliasSchema,
  /** When it is deleted permanently. */
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

/** The classes a teacher sends sessions to. */
export const classEndpoints = {
  /** Its pace beside the usual one, from its own runs; null with too few children. */
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
      /** Deleted ones that can still be restored. */
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
  /** Changes only the fields that are sent: another tab may have changed the rest. */
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
  /** A class with its pupils by alias, and deleted ones that can still be restored. */
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
  /** Adds all of them or none. */
  addPupils: endpoint({
    method: 'POST',
    path: '/api/classes/:id/pupils',
    access: 'teacher',
    params: idParams,
    body: z.strictObject({ aliases }),
    answer: z.strictObject({ pupils: z.array(pupilSchema) }),
  }),
  /** A PDF of codes to cut out, for some pupils or the whole class. */
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
  /** Another alias, note or class; results move along. Fields that are not sent stay. */
  savePupil: endpoint({
    method: 'PUT',
    path: '/api/pupils/:id',
    access: 'teacher',
    params: idParams,
    body: z.strictObject({ alias: aliasSchema, note: pupilNoteSchema, classId: z.uuid() }).partial(),
    answer: pupilSchema,
  }),
  /** A new code; the old one and the devices that used it stop working. */
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
  /** Permanently deletes a pupil with all results. */
  deletePupil: endpoint({
    method: 'DELETE',
    path: '/api/bin/pupils/:id',
    access: 'teacher',
    params: idParams,
    answer: none,
  }),
  /** All data kept of one pupil, for the family. */
  exportPupil: endpoint({
    method: 'GET',
    path: '/api/pupils/:id/file',
    access: 'teacher',
    params: idParams,
    query: z.strictObject({ as: z.enum(['json', 'csv']).default('json') }),
    answer: z.unknown(),
  }),
}
