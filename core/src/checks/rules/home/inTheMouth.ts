import { wordRule } from '../../wordRule.ts'

/** Something in the mouth while moving. */
export const inTheMouth = wordRule(
  'in-the-mouth',
  'stop',
  'home',
  /\b(?:(?:spoon|sock|straw|sweet|gum|whistle|pencil|it)\b.{0,16}\b(?:in|between) (?:your|the|their) (?:mouth|teeth|lips)|chewing gum|(?:cuchara|chicle|l[aá]piz)\b.{0,16}\b(?:en la boca|entre los dientes))\b/i,
)
