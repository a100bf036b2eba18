import { z } from 'zod'
import { lineSchema, partDocument } from '@esfuerzo/core'
import { documentField } from './documentField.ts'
import { endpoint, none } from './endpoint.ts'
import { idParams, momentSchema } from './fields.ts'

const partField = documentField(partDocument)

export const keptPartSchema = z.strictObject({ id: z.uuid(), name: lineSchema, keptAt: momentSchema, part: partField })
export type KeptPart = z.infer<typeof keptPartSchema>

/** Sections and blocks a teacher saved for reuse. */
export const shelfEndpoints = {
  listShelf: endpoint({
    method: 'GET',
    path: '/api/shelf',
    access: 'teacher',
    answer: z.strictObject({ parts: z.array(keptPartSchema) }),
  }),
  keepPart: endpoint({
    method: 'POST',
    path: '/api/shelf',
    access: 'teacher',
    body: z.strictObject({ name: lineSchema.min(1), part: partField }),
    answer: keptPartSchema,
  }),
  renamePart: endpoint({
    method: 'PUT',
    path: '/api/shelf/:id',
    access: 'teacher',
    params: idParams,
    body: z.strictObject({ name: lineSchema.min(1) }),
    answer: keptPartSchema,
  }),
  removePart: endpoint({ method: 'DELETE', path: '/api/shelf/:id', access: 'teacher', params: idParams, answer: none }),
}
