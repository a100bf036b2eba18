import { wordRule } from '../../wordRule.ts'

/** Burpees with the chest to the floor, below grade 3. */
export const floorBurpee = wordRule(
  'floor-burpee',
  'note',
  'care',
  /\bburpees?\b.{0,40}\bchest\b.{0,12}\bfloor\b|\bchest\b.{0,12}\bfloor\b.{0,40}\bburpees?\b/i,
  (_, { lanes }) => lanes.some(({ grade }) => grade < 3),
)
