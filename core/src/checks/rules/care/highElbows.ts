import { wordRule } from '../../wordRule.ts'

/** A row with the elbows above the shoulders. */
export const highElbows = wordRule(
  'high-elbows',
  'look',
  'care',
  /\belbows?\b.{0,16}\b(?:above|over|higher than) (?:the|your) shoulders?\b|\bcodos?\b.{0,16}\bpor encima de los hombros\b/i,
)
