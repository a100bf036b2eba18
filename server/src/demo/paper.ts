import { uniformInt } from 'pure-rand/distribution/uniformInt'
import { xoroshiro128plus } from 'pure-rand/generator/xoroshiro128plus'
import { bookColumns, boundsOf, isForClass, laneOfClass, type BookColumn } from '@esfuerzo/core/classBook'
import type { DemoClass } from './classes.ts'
import type { DemoRun, DemoSent } from './runs.ts'
import { demoTries } from './tests.ts'

/** A value that the teacher typed from a paper form. */
export interface DemoTyped {
  alias: string
  column: BookColumn
  value: number
}

/** Homes without a device: two of a class returned paper forms, filled in as far as a child does. */
export function demoPaper(
  { publication, weeksAgo }: DemoSent,
  { grades, pupils }: DemoClass,
  runs: readonly DemoRun[],
  seed: number,
): DemoTyped[] {
  const random = xoroshiro128plus(seed)
  const next = (from: number, to: number) => uniformInt(random, from, to)
  const lane = isForClass(publication.lanes, grades) ? laneOfClass(publication.lanes, grades) : undefined
  if (!lane) return []
  const columns = bookColumns(publication, lane, 'en')
  const ran = new Set(runs.map((r) => r.alias))
  return pupils
    .filter(({ alias }) => !ran.has(alias))
    .slice(0, 2)
    .flatMap((pupil) => {
      const { alias, share } = pupil
      const tries = demoTries(publication, lane, pupil, weeksAgo, next)
      return columns.flatMap((column): DemoTyped[] => {
        if (next(0, 9) === 0 || column.kind === 'pulse') return []
        const tried = tries.find((t) => t.block === column.block && t.trial === column.trial)
        if (column.test && tried) return [{ alias, column, value: tried.value }]
        const { from, to } = boundsOf(column)
        const usual =
          column.unit === 'faces' || column.unit === 'ten' ? next(2, 5) : (column.seconds ?? 20) * 0.45 * share
        return [{ alias, column, value: Math.min(to, Math.max(from, Math.round(usual + next(-1, 1)))) }]
      })
    })
}
