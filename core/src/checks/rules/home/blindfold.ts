import { wordRule } from '../../wordRule.ts'

/** A blindfold. */
export const blindfold = wordRule(
  'blindfold',
  'stop',
  'home',
  /\b(?:blind-?fold(?:s|ed)?|vend(?:a|ar|ados)\b.{0,8}\bojos|ojos vendados)\b/i,
)
