import { wordRule } from '../../wordRule.ts'

/** A throw as high as it goes, indoors. */
export const height = wordRule(
  'height',
  'look',
  'home',
  /\b(?:(?:throw|toss|hit|pat|kick|punt)\b.{0,24}\b(?:as high as|up to the ceiling|to the ceiling|above the (?:lamp|door))|lanz(?:a|ar)\b.{0,20}\b(?:lo m[aá]s alto|hasta el techo))/i,
  (_, { session }) => !session.home.outdoors,
)
