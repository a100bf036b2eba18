import { wordRule } from '../../wordRule.ts'

/** A film or a picture of a child is asked for. */
export const filmed = wordRule(
  'filmed',
  'look',
  'words',
  /\b(?:(?:send|e-?mail|post|share|upload|text)\b.{0,24}\b(?:videos?|photos?|pictures?|films?|clips?|selfies?)|(?:film|video|photograph|record a video of)\b.{0,12}\b(?:yourself|yourselves|your child|him|her|them|each other)|env[ií]a(?:me|nos|r)?\b.{0,20}\b(?:fotos?|v[ií]deos?)|gr[aá]ba(?:te|lo|la|rte))\b/i,
)
