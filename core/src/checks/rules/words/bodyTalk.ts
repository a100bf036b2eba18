import { wordRule } from '../../wordRule.ts'

/** Talk of bodies, weight and calories: none of it belongs to children. */
export const bodyTalk = wordRule(
  'body-talk',
  'look',
  'words',
  /\b(?:calories?|calor[ií]as?|kilojoules?|weight loss|los(?:e|ing) (?:some )?weight|burn(?:s|ing)? (?:off )?(?:fat|calories|the cake)|get(?:ting)? (?:slim|skinny|fat|thin)|flat (?:tummy|stomach|belly)|(?:bikini|summer|beach) body|six[- ]packs?|on a diet|no pain,? no gain|adelgazar|bajar de peso|quemar grasa|sin dolor no hay)\b/i,
)
