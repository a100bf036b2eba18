import { z } from 'zod'
import { rule, lineSchema } from '@esfuerzo/core'
import { endpoint } from './endpoint.ts'
import { idParams } from './fields.ts'

/** A class by its name and grades; nothing of a child is in it. */
const classFields = z.strictObject({
  name: lineSchema.min(1),
  grades: z
    .array(z.int().min(0).max(6))
    .min(1)
    .max(7)
    .refine((grades) => grades.every((g, i) => i === 0 || g > grades[i - 1]!), { error: rule('gradesRising') }),
})
export const classSchema = classFields.extend({ id: z.uuid() })
export type SchoolClass = z.infer<typeof classSchema>

/** The classes a teacher hands sessions out to. */
export const classEndpoints = {
  listClasses: endpoint({
    method: 'GET',
    path: '/api/classes',
    access: 'teacher',
    answer: z.strictObject({ classes: z.array(classSchema) }),
  }),
  addClass: endpoint({
    method: 'POST',
    path: '/api/classes',
    access: 'teacher',
    body: classFields,
    answer: classSchema,
  }),
  saveClass: endpoint({
    method: 'PUT',
    path: '/api/classes/:id',
    access: 'teacher',
    params: idParams,
    body: classFields,
    answer: classSchema,
  }),
  removeClass: endpoint({
    method: 'DELETE',
    path: '/api/classes/:id',
    access: 'teacher',
    params: idParams,
    answer: z.strictObject({}),
  }),
}
