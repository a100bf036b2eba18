import { valueFor, type BlockOf } from '@esfuerzo/core'
import type { FormSummary } from '../summary.ts'

/** The rest between its exercises, if there is one. */
export const listSummary: FormSummary<BlockOf<'list'>> = (block, groupId, t) => {
  const rest = valueFor(block.restAfter, groupId)
  return { text: t('forms.list.row'), dose: rest ? t('cell.rest', { n: rest }) : '' }
}
