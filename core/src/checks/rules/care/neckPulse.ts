import { wordRule } from '../../wordRule.ts'

/** The pulse felt at the neck. */
export const neckPulse = wordRule(
  'neck-pulse',
  'note',
  'care',
  /\b(?:pulse|beats?)\b.{0,30}\b(?:at|on|in|side of) (?:the|your) neck\b|\bneck pulse\b|\bpulso\b.{0,24}\bcuello\b/i,
)
