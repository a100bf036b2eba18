import { minutesText, valueFor, type BlockOf } from '@esfuerzo/core'
import type { FormSummary } from '../summary.ts'

/** What is talked of, and for how long. */
export const talkSummary: FormSummary<BlockOf<'talk'>> = (block, groupId, t) => ({
  text: block.title ?? t('forms.talk.row'),
  dose: minutesText(valueFor(block.seconds, groupId)),
})
