import { wordRule } from '../../wordRule.ts'

/** A bottle of glass, or one that held what harms. */
export const harmfulBottle = wordRule(
  'harmful-bottle',
  'stop',
  'home',
  /\b(?:glass bottles?|(?:bleach|detergent|cleaner|cleaning|washing[- ]up|paint|fuel) bottles?|bottles? of (?:bleach|detergent|cleaner|cleaning fluid|washing[- ]up liquid|paint|fuel)|botellas? de (?:vidrio|cristal|lej[ií]a|detergente|pintura))\b/i,
)
