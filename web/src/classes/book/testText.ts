import { setUpOf, type Measure } from '@esfuerzo/core'
import { lessonChange, testChange, type ChildChange, type TestChange, type Unsaid } from '@esfuerzo/core/change'
import type { TestOverDates } from '@esfuerzo/contract'
import type { Words } from '../../shared/words.ts'
import { library } from '../../repertoire/library.ts'

/** The test as the library has it; undefined for a test of a newer release. */
export const measureOfTest = (test: string | undefined): Measure | undefined =>
  library.measures.get(test as Measure['id'])

/** Its set-up and moment in the lesson, if that must be shown. */
export function likeText({ setUp, moment }: TestOverDates, measure: Measure, t: Words): string {
  const name = measure.setUps.length > 1 ? setUpOf(measure, setUp).name : ''
  return [name, moment === 'alone' ? '' : t(`book.how.${moment}`)].filter(Boolean).join(' · ')
}

/** The results of a test's days for a class. @param pupils in alias order */
export const changeOf = (
  test: TestOverDates,
  measure: Measure,
  pupils: readonly string[],
  grade: number,
): TestChange | Unsaid =>
  testChange(
    measure,
    test.days.map(({ key, at }) => ({ key, at: Date.parse(at) })),
    test.values.map(({ otherwise, ...v }) => ({ ...v, otherwise: otherwise !== undefined })),
    pupils,
    grade,
  )

/** How the class changed within one lesson, from the latest day measured both before and after. */
export function inLesson(before: TestOverDates, after: TestOverDates, measure: Measure, pupils: readonly string[]) {
  const last = after.days.findLast((day) => before.days.some((b) => b.publicationId === day.publicationId))
  const first = last && before.days.find((b) => b.publicationId === last.publicationId)
  if (!last || !first) return undefined
  const on = ({ values }: TestOverDates, key: string) =>
    values.filter((v) => v.day === key).map(({ otherwise, ...v }) => ({ ...v, otherwise: otherwise !== undefined }))
  return lessonChange(measure, { before: on(before, first.key), after: on(after, last.key) }, pupils)
}

const signed = (n: number, unit: string) => `${n > 0 ? '+' : n < 0 ? '−' : ''}${Math.abs(n)} ${unit}`
const rounded = (n: number, step: number) => Math.round(n * (step < 1 ? 10 : 1)) / (step < 1 ? 10 : 1)

/**
 * A change on the test's scale in words: a ratio in percent, otherwise in the test's own unit.
 *
 * @example changeText(2, reach) // '+2 cm'
 */
export const changeText = (change: number, { scale, range, in: unit }: Measure): string =>
  scale.kind === 'ratio'
    ? signed(Math.round((Math.exp(change) - 1) * 100), '%')
    : signed(rounded(change, range.step < 1 ? range.step : 0.5), unit)

/** How far a value varies, as a size. */
export const variationText = (variation: number, { scale, in: unit }: Measure): string =>
  scale.kind === 'ratio' ? `${Math.round((Math.exp(variation) - 1) * 100)} %` : `${rounded(variation, 0.5)} ${unit}`

/** Clear and probable changes have a direction; the others have none. */
export function wordText({ word, change }: ChildChange, { better }: Measure, t: Words): string {
  if (word !== 'clear' && word !== 'probably') return t(`book.change.word.${word}`)
  const more = better === 'lower' ? change < 0 : change > 0
  return t(`book.change.word.${word}${more ? 'More' : 'Less'}`)
}

/** The sentences above a test's chart: what changed, for how many, and possible reasons. */
export function sentencesOf(found: TestChange | Unsaid, measure: Measure, t: Words): string[] {
  if ('none' in found) return [t(`book.change.${found.none}`, { ...found })]
  const { median, interval, children, ties } = found.class
  const { from, to } = interval!
  // A bound of zero means those that stayed the same.
  const word = from >= 0 && median > 0 ? 'more' : to <= 0 && median < 0 ? 'less' : 'open'
  const said = (n: number) => changeText(n, measure)
  const judged = found.children.filter((child) => child.word !== 'top')
  return [
    t(`book.change.${word}`, { median: said(median), from: said(from), to: said(to), both: children, any: found.any }),
    ...(word === 'open' ? [] : [t('book.change.growing')]),
    ...(ties ? [t('book.change.ties', { n: ties })] : []),
    t('book.change.clear', { clear: found.clear, n: judged.length, count: found.byChance }),
    found.error
      ? t('book.change.error', { variation: variationText(found.error.error, measure) })
      : t('book.change.hits'),
    t('book.change.middle'),
  ]
}
