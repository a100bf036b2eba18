import { z } from 'zod'
import { perGroupSchema } from '../../terms/perGroup.ts'
import { cellSchema } from '../../session/station.ts'
import { lineSchema, paragraphSchema } from '../../base/text.ts'
import { blockFields, stretchSchema } from '../../session/blockParts.ts'

/** A game described in words, which can get harder. */
export const gameSchema = z.strictObject({
  ...blockFields,
  form: z.literal('game'),
  setUp: paragraphSchema,
  players: z.int().min(1).max(8),
  rules: paragraphSchema,
  /** What a miss costs: an exercise, never called a punishment. */
  onMiss: perGroupSchema(cellSchema).optional(),
  harder: z.array(lineSchema).max(6),
  seconds: perGroupSchema(stretchSchema),
})
export interface GameBlock extends z.infer<typeof gameSchema> {}

/** Three minutes for one. */
export const newGame = (id: string): GameBlock => ({
  id,
  form: 'game',
  setUp: '',
  players: 1,
  rules: '',
  harder: [],
  seconds: { all: 180 },
})
