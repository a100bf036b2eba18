import { type OrderFindings } from '@esfuerzo/core/tools'
import type { Words } from '../../shared/words.ts'

/** Phrases about an order, the most important first. */
const told = ['trips', 'muscles', 'hardJumps', 'things', 'families', 'thuds'] as const

/**
 * What another order improves, one line for each difference.
 *
 * @example ['2 trips to the floor instead of 5', 'no muscle twice in a row any more']
 */
export function findingsText(before: OrderFindings, after: OrderFindings, t: Words): string[] {
  const lines = told
    .filter((key) => before[key] !== after[key])
    .map((key) =>
      after[key] === 0 ? t(`arrange.none.${key}`) : t(`arrange.less.${key}`, { n: after[key], now: before[key] }),
    )
  const saved = before.seconds - after.seconds
  return saved > 0 ? [...lines, t('arrange.seconds', { n: saved })] : lines
}

/** The most obvious weakness of an order, if it is worth a mark on its row. */
export function orderMark({ trips, muscles, hardJumps }: OrderFindings, t: Words): string | undefined {
  if (hardJumps > 0) return t('arrange.mark.hardJumps')
  if (muscles > 0) return t('arrange.mark.muscles', { n: muscles })
  return trips >= 3 ? t('arrange.mark.trips', { n: trips }) : undefined
}
