import { wordRule } from '../../wordRule.ts'

/** A stretch that bounces. */
export const bouncedStretch = wordRule(
  'bounced-stretch',
  'look',
  'care',
  /\bbounc(?:e|es|ing|y)\b.{0,30}\bstretch|\bstretch(?:es|ing)?\b.{0,30}\bbounc|\brebot\w+\b.{0,24}\bestir/i,
)
