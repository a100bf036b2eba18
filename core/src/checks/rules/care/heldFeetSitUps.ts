import { wordRule } from '../../wordRule.ts'

/** Sit-ups with the feet held. */
export const heldFeetSitUps = wordRule(
  'held-feet-sit-ups',
  'note',
  'care',
  /\b(?:sit-?ups?|crunch(?:es)?|curl-?ups?|abdominales)\b.{0,60}\b(?:hold(?:s|ing)?|held|anchor(?:ed)?|hook(?:ed)?|under the (?:sofa|couch|bed)|sujet(?:a|os))\b|\bhold(?:s|ing)? (?:the|your|their) (?:feet|ankles)\b.{0,40}\bsit-?ups?\b/i,
)
