import { type Block } from '@esfuerzo/core'
import type { Words } from '../shared/words.ts'

/** What a block's row says for one group: words, and the numbers that make it. */
export interface Summary {
  text: string
  dose: string
}
export type FormSummary<B = Block> = (block: B, groupId: string, t: Words) => Summary
