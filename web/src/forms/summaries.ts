import { type BlockOf, type Form } from '@esfuerzo/core'
import { listSummary } from './list/summary.ts'
import type { FormSummary } from './summary.ts'
import { talkSummary } from './talk/summary.ts'

/** For forms whose facts are not what a teacher looks for in the row. */
export const formSummaries: { [F in Form]?: FormSummary<BlockOf<F>> } = {
  talk: talkSummary,
  list: listSummary,
}
