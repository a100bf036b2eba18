import * as z from 'zod/mini'
import type { Amount } from '../terms/dose.ts'
import { units } from '../terms/units.ts'

/** A row of a played form: what one lane does there. */
export const turnSchema = z.object({
  station: z.optional(z.string()),
  move: z.string(),
  version: z.string(),
  story: z.optional(z.string()),
  amount: z.optional(z.custom<Amount>((amount) => typeof amount === 'number' || typeof amount === 'object')),
  unit: z.optional(z.enum(units)),
  sides: z.catch(z.enum(['both', 'alternating', 'each']), 'both'),
})
export type PlayedTurn = z.infer<typeof turnSchema>

/**
 * What a lane's steps do not tell about a form that a child plays: the coin's table, a quiz's answers. A form without one is run by its
 * steps alone. Read leniently and separately, because the device's program may be older.
 */
export const playSchema = z.discriminatedUnion('form', [
  z.object({ form: z.literal('amrap'), seconds: z.number(), turns: z.array(turnSchema) }),
  z.object({
    form: z.literal('chance'),
    device: z.enum(['coin', 'cards', 'dice', 'toss']),
    stop: z.object({ kind: z.enum(['cleared', 'seconds', 'draws']), most: z.optional(z.number()) }),
    oneByOne: z.boolean(),
    table: z.array(z.object({ face: z.string(), turns: z.array(turnSchema) })),
    seed: z.number(),
  }),
  /** A circuit that ends at its cap. */
  z.object({ form: z.literal('rounds'), seconds: z.number() }),
  z.object({ form: z.literal('intervals'), pick: z.number(), turns: z.array(turnSchema) }),
  /** Two take turns: the other child's turn is shown. */
  z.object({ form: z.literal('relay'), turns: z.array(turnSchema) }),
  z.object({ form: z.literal('ladder'), rungs: z.array(z.number()) }),
  z.object({ form: z.literal('levels'), turns: z.array(turnSchema), bonus: z.boolean() }),
  z.object({
    form: z.literal('target'),
    targets: z.array(z.object({ metres: z.number(), points: z.number() })),
    throws: z.number(),
  }),
  z.object({
    form: z.literal('game'),
    setUp: z.string(),
    rules: z.string(),
    players: z.number(),
    harder: z.array(z.string()),
    onMiss: z.optional(turnSchema),
  }),
  z.object({
    form: z.literal('measure'),
    test: z.string(),
    trials: z.number(),
    moment: z.string(),
    setUp: z.optional(z.string()),
    /** Where it ends for this group. */
    cap: z.optional(z.number()),
  }),
  z.object({
    form: z.literal('quiz'),
    questions: z.array(z.object({ ask: z.string(), answers: z.array(z.string()), right: z.number(), why: z.string() })),
  }),
])
export type Play = z.infer<typeof playSchema>
export type PlayOf<F extends Play['form']> = Extract<Play, { form: F }>
