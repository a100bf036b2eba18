import { categories } from './rules/categories.ts'
import { pushPullLegsCore } from './rules/pushPullLegsCore.ts'
import { seenOnce } from './rules/seenOnce.ts'
import { strengthDays } from './rules/strengthDays.ts'
import { upperLowerCore } from './rules/upperLowerCore.ts'
import type { TermRule } from './termRule.ts'

/** Every rule about a term; a test holds its file to its id. */
export const termRules = [
  pushPullLegsCore,
  upperLowerCore,
  categories,
  seenOnce,
  strengthDays,
] as const satisfies readonly TermRule[]
