import { wordRule } from '../../wordRule.ts'

/** Heading a ball: no primary session has it. */
export const heading = wordRule(
  'heading',
  'stop',
  'care',
  /\b(?:head(?:s|ing)? (?:the|a|your) (?:soft )?ball|headers?|with your forehead|remat(?:a|ar) de cabeza|cabece(?:a|ar))\b/i,
)
