import { per30, type BookColumn } from '@esfuerzo/core/classBook'
import { measureOfTest } from './testText.ts'
import type { Words } from '../../shared/words.ts'

/** A column's subject: a station's name, otherwise its kind. */
export const columnName = ({ kind, what, name }: BookColumn, t: Words): string =>
  kind === 'pulse'
    ? t(`book.${what}`)
    : kind === 'station' || kind === 'measure'
      ? name
      : kind === 'weight'
        ? t('book.weightOf', { name })
        : t(`book.kind.${kind}`)

/** Which box of a row it is; the empty string if there is only one. */
export const columnNth = ({ kind, nth, of: total }: BookColumn, t: Words): string =>
  total > 1 ? t(kind === 'measure' ? 'book.trial' : kind === 'points' ? 'book.round' : 'book.lap', { n: nth }) : ''

/** What is counted, and in how many seconds. */
export const columnUnit = ({ unit, seconds, test }: BookColumn, t: Words): string => {
  const measure = measureOfTest(test)
  if (measure) return measure.in
  return seconds
    ? t('book.unitIn', { unit: t(`book.unit.${unit}`), seconds: Math.round(seconds) })
    : t(`book.unit.${unit}`)
}

/** Whether a small number beside each value shows it for thirty seconds. */
export const saysPer30 = ({ unit, seconds }: BookColumn): boolean =>
  per30(30, { unit, seconds }) !== undefined && seconds !== 30

/** A column in one line, as a table's heading has it: "Squat jump, lap 2 (reps in 30 s)". */
export function columnLine(column: BookColumn, t: Words): string {
  const name = [columnName(column, t), columnNth(column, t)].filter(Boolean).join(', ')
  return `${name} (${columnUnit(column, t)})`
}
