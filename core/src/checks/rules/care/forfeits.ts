import { wordRule } from '../../wordRule.ts'

/** Whoever loses or misses has to do exercise, or is out. */
export const forfeits = wordRule(
  'forfeits',
  'look',
  'care',
  /\b(?:losers?|who(?:ever)? (?:loses|misses|drops|is last|is caught)|if you (?:lose|miss|drop)|the last one|for (?:every|each) (?:miss|drop)|quien (?:pierde|falla))\b.{0,40}\b(?:do|does|must|has to|have to|run|runs|jumps?|push-?ups?|burpees?|squats?|laps?|hace|debe)\b|\b(?:you are|you[’']re|they are|is|are) out(?:$|[.,!;])|\bqueda eliminad[oa]\b/i,
)
