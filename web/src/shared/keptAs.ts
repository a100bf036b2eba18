import type { ZodMiniType } from 'zod/mini'

/**
 * A stored value, if it has the form this release stores. Anything else may be of another release, or invalid: it stays where it is and
 * affects nothing else.
 *
 * @param schema the form this release reads
 * @returns the same value, or undefined if it has another form
 * @example keptAs<{ alias: string }>(z.looseObject({ alias: z.string() }), { alias: 4 }) // undefined
 */
export const keptAs = <T>(schema: ZodMiniType, kept: unknown): T | undefined =>
  schema.safeParse(kept).success ? (kept as T) : undefined

/** Those of several stored values that can be read. */
export const keptAmong = <T>(schema: ZodMiniType, all: readonly (readonly [unknown, unknown])[]): T[] =>
  all.flatMap(([, kept]) => keptAs<T>(schema, kept) ?? [])
