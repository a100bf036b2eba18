import { limit, type LimitId } from './limits.ts'
import type { Found } from './rule.ts'
import type { Where } from './where.ts'
import type { CheckedLane } from './view.ts'

/** How much of something a lane has, and which place has most of it. */
export interface Amount {
  n: number
  where?: Where
}

/**
 * One finding for all lanes that exceed their limit of something, with the numbers of the lane that exceeds it most.
 *
 * @param name what the number is called in the finding's facts
 */
export function overLimit(
  lanes: readonly CheckedLane[],
  id: LimitId,
  name: string,
  amount: (lane: CheckedLane) => Amount,
): Found[] {
  const over = lanes
    .map((lane) => ({ group: lane.group.id, most: limit(id, lane.band), ...amount(lane) }))
    .filter(({ n, most }) => n > most)
  if (!over.length) return []
  const worst = over.reduce((a, b) => (b.n / b.most > a.n / a.most ? b : a))
  return [
    {
      where: worst.where ?? {},
      groups: over.map((o) => o.group),
      facts: { [name]: Math.round(worst.n), most: worst.most },
    },
  ]
}
