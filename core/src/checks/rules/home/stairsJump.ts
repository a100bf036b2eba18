import { wordRule } from '../../wordRule.ts'

/** A jump on or off stairs or furniture. */
export const stairsJump = wordRule(
  'stairs-jump',
  'stop',
  'home',
  /\b(?:(?:jump|hop|leap)(?:s|ing)?\b.{0,18}\b(?:off|down from|onto|down|up)\b.{0,10}\b(?:the )?(?:stairs?|staircase|steps|bottom step|second step|sofa|couch|bed|table|chair|wall)|salt(?:a|ar)\b.{0,18}\b(?:desde|de|a)\b.{0,8}\b(?:escalera|sof[aá]|cama|mesa|silla))\b/i,
)
