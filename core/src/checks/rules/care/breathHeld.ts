import { wordRule } from '../../wordRule.ts'

/** A breath that is held. */
export const breathHeld = wordRule(
  'breath-held',
  'look',
  'care',
  /\b(?:hold(?:s|ing)? (?:your|the|their) breath|aguant(?:a|ar|en) (?:la respiraci[oó]n|el aire))\b/i,
)
