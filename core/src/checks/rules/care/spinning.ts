import { wordRule } from '../../wordRule.ts'

/** More than three turns on end. */
export const spinning = wordRule(
  'spinning',
  'look',
  'care',
  /\b(?:(?:spin|twirl|whirl|turn round)\b.{0,20}\b(?:four|five|six|seven|eight|nine|ten|[4-9]|\d{2,}) times|(?:spin|twirl|whirl)\b.{0,24}\bdizzy|gir(?:a|ar)\b.{0,20}\b(?:hasta marear|[4-9] veces))/i,
)
