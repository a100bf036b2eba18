import { wordRule } from '../../wordRule.ts'

/** Walking in a deep squat. */
export const deepWalkingSquats = wordRule(
  'deep-walking-squats',
  'note',
  'care',
  /\b(?:duck[- ]walk(?:s|ing)?|walk(?:ing)?\b.{0,10}\bin a (?:deep )?squat|caminar? de pato|paso de pato)\b/i,
)
