import { wordRule } from '../../wordRule.ts'

/** A support that rolls, turns or folds. */
export const rollingSupport = wordRule(
  'rolling-support',
  'stop',
  'home',
  /\b(?:(?:office|desk|swivel|rolling|wheeled|folding|camping|deck)[- ]chairs?|chairs? (?:with|on) (?:wheels|castors)|sillas? (?:de oficina|con ruedas|plegables?|giratorias?))\b/i,
)
