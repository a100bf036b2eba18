import { wordRule } from '../../wordRule.ts'

/** Jumping or running in socks. */
export const socksJump = wordRule(
  'socks-jump',
  'look',
  'care',
  /\b(?:in|wearing|with) (?:your |thick |just )?socks\b.{0,30}\b(?:jump|hop|run|skip|slide)|\b(?:jump|hop|run|skip|slide)(?:s|ing)?\b.{0,24}\b(?:in|wearing) (?:your |thick )?socks\b|\b(?:salt|corr)\w+\b.{0,20}\ben calcetines\b/i,
)
