import { wordRule } from '../../wordRule.ts'

/** A band, rope or scarf tied to a child or to what can give way. */
export const roundTheNeck = wordRule(
  'round-the-neck',
  'stop',
  'home',
  /\b(?:(?:tie|tied|tying|knot|loop|fasten|wrap)(?:s|ed)?\b.{0,36}\b(?:neck|wrists?|ankles together|door|handle|furniture|table leg|chair leg|radiator)|(?:band|rope|scarf|tights|string)\b.{0,12}\b(?:a?round|about) (?:your|the|their) neck|at(?:a|ar|ada)\b.{0,24}\b(?:cuello|mu[ñn]ecas?|puerta|mueble))\b/i,
)
