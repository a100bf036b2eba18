import type { ZodMiniType } from 'zod/mini'

/**
 * What a device kept, where it is what this release keeps there. What is not may be of another release, or of nobody's making: it is left
 * where it lies, and nothing beside it suffers.
 *
 * @param schema what this release reads of it
 * @returns the same, undefined where it is something else
 * @example keptAs<{ alias: string }>(z.looseObject({ alias: z.string() }), { alias: 4 }) // undefined
 */
export const keptAs = <T>(schema: ZodMiniType, kept: unknown): T | undefined =>
  schema.safeParse(kept).success ? (kept as T) : undefined

/** Of several, those that can be read. */
export const keptAmong = <T>(schema: ZodMiniType, all: readonly (readonly [unknown, unknown])[]): T[] =>
  all.flatMap(([, kept]) => keptAs<T>(schema, kept) ?? [])
