import type { Router } from 'express'
import { z } from 'zod'
import { movesFileSchema, partSchema, settingsSchema, sessionSchema } from '@esfuerzo/core'
import { runSchema } from '@esfuerzo/core/run'
import { termSchema } from '@esfuerzo/core/term'
import type { schemaNames } from '@esfuerzo/contract'
import { implement } from './http/implement.ts'

/** The documents' JSON Schemas, generated from the schemas that validate them. */
export function schemaRoutes(router: Router): void {
  const documents: Record<(typeof schemaNames)[number], z.ZodType> = {
    'workout.json': sessionSchema,
    'part.json': partSchema,
    'run.json': runSchema,
    'settings.json': settingsSchema,
    'moves.json': movesFileSchema,
    'term.json': termSchema,
  }
  const schemas = new Map(
    Object.entries(documents).map(([name, schema]) => [name, z.toJSONSchema(schema, { io: 'input' })]),
  )
  implement(router, 'schema', async ({ params }) => schemas.get(params.name))
}
