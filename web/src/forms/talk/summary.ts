import { minutesText, valueFor, type BlockOf } from '@esfuerzo/core'
import type { FormSummary } from '../summary.ts'

/** The subject of a talk, and its length. */
export const talkSummary: FormSummary<BlockOf<'talk'>> = (block, groupId, t) => ({
  text: block.title ?? t('forms.talk.row'),
  dose: minutesText(valueFor(block.seconds, groupId)),
})
