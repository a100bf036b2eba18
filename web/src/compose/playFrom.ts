import { type LaneView } from '@esfuerzo/core'
import type { Row } from './order/rows.ts'

/** The second of a lane at which a row of the running order starts: 0 if it has no step, or no row is chosen. */
export function playFrom(row: Row | undefined, blocks: LaneView['blocks']): number {
  for (const { start, timed } of blocks) {
    if (row?.kind === 'station') {
      const first = timed.steps.find((s) => s.station === row.id)
      if (first) return start + first.at
    } else if (row?.block ? timed.block === row.block.id : timed.section === row?.section.id) return start
  }
  return 0
}
