import { z } from 'zod'
import { perGroupSchema } from '../../terms/perGroup.ts'
import { blockFields, secondsSchema } from '../../session/blockParts.ts'

/** Explain, fetch kit, drink. */
export const talkSchema = z.strictObject({
  ...blockFields,
  form: z.literal('talk'),
  seconds: perGroupSchema(secondsSchema),
})
export interface TalkBlock extends z.infer<typeof talkSchema> {}

/** A new talk block. */
export const newTalk = (id: string): TalkBlock => ({ id, form: 'talk', seconds: { all: 30 } })
