import { type Block } from '@esfuerzo/core'
import type { Words } from '../shared/words.ts'

/** What a block's row shows for one group: words, and its numbers. */
export interface Summary {
  text: string
  dose: string
}
export type FormSummary<B = Block> = (block: B, groupId: string, t: Words) => Summary
