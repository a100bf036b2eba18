import { wordRule } from '../../wordRule.ts'

/** A run that ends at a wall, a door or a fence. */
export const sprintToWall = wordRule(
  'sprint-to-wall',
  'look',
  'home',
  /\b(?:(?:run|sprint|race|dash)(?:s|ning)?\b.{0,20}\b(?:to|into|at|and touch|touch)\b.{0,8}\b(?:wall|door|fence)|(?:corre|correr)\b.{0,16}\bhasta la (?:pared|puerta|valla))\b/i,
)
