import { wordRule } from '../../wordRule.ts'

/** Full circles of the neck. */
export const neckCircles = wordRule(
  'neck-circles',
  'note',
  'care',
  /\b(?:(?:neck|head) (?:circles?|rolls?|rolling)|roll your (?:head|neck)|circle your (?:head|neck)|c[ií]rculos (?:con|de) (?:la cabeza|el cuello|cuello))\b/i,
)
