import type { Step } from '@esfuerzo/core'
import type { Row } from './rows.ts'

/**
 * The second of a lane at which a row of the running order begins: 0 where it has no step, or no row is chosen.
 *
 * @param steps of the lane
 */
export function playFrom(row: Row | undefined, steps: readonly Step[]): number {
  const first = steps.find((s) =>
    row?.kind === 'station'
      ? s.station === row.id
      : row?.block
        ? s.block === row.block.id
        : s.section === row?.section.id,
  )
  return first?.at ?? 0
}
