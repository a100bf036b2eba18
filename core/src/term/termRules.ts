import { afterWeeksOff } from './rules/afterWeeksOff.ts'
import { againInTime } from './rules/againInTime.ts'
import { categories } from './rules/categories.ts'
import { easierWeek } from './rules/easierWeek.ts'
import { newMovesAWeek } from './rules/newMovesAWeek.ts'
import { pushPullLegsCore } from './rules/pushPullLegsCore.ts'
import { seenOnce } from './rules/seenOnce.ts'
import { strengthDays } from './rules/strengthDays.ts'
import { testDays } from './rules/testDays.ts'
import { thingsAWeek } from './rules/thingsAWeek.ts'
import { upperLowerCore } from './rules/upperLowerCore.ts'
import type { TermRule } from './termRule.ts'

/** Every rule about a term; a test compares each file name with its rule's id. */
export const termRules = [
  pushPullLegsCore,
  upperLowerCore,
  categories,
  seenOnce,
  strengthDays,
  againInTime,
  newMovesAWeek,
  thingsAWeek,
  testDays,
  easierWeek,
  afterWeeksOff,
] as const satisfies readonly TermRule[]
