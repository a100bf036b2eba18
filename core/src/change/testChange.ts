import type { Measure } from '../terms/measure.ts'
import { dayValue } from '../terms/testValue.ts'
import { classChange, fewestChildren, type ClassChange } from './classChange.ts'
import { hitsError, onScale } from './scale.ts'
import { nearDays, sidesOf, type Sides, type TestDay } from './testDays.ts'
import { typicalError, type TypicalError } from './typicalError.ts'
import { changeVerdict, clearByChance, type ChangeWord } from './verdict.ts'

/** A child's try of a test on a day. */
export interface Try {
  pupil: string
  day: string
  value: number
  /** Done differently from the test's rules: cold, in other shoes, counted by the child. It is kept and compared with nothing. */
  otherwise?: boolean | undefined
}

/** A verdict about a child, or that it reached the top, where nothing can be concluded. */
export interface ChildChange {
  pupil: string
  word: ChangeWord | 'top'
  /** Means of the days on each side, in the test's unit. */
  before: number
  after: number
  /** After minus before, on the test's scale. */
  change: number
  /** A change larger than this is clear. */
  variation: number
}

/** The results of a class's test days. */
export interface TestChange {
  sides: Sides
  /** Of the class, with its confidence and its ties. */
  class: ClassChange
  /** Children with a value on any of the compared days. */
  any: number
  children: readonly ChildChange[]
  /** How many changes are clear, and how many would be by chance alone. */
  clear: number
  byChance: number
  /** How a measure of one child varies from day to day; a throw's follows from its hits. */
  error?: TypicalError
}

/** Why there is no result: the test is for the lesson, or a game at that age; there are not two dates yet; too few children have both. */
export type Unsaid = { none: 'lesson' | 'game' | 'no-two-sides' } | { none: 'too-few'; both: number; any: number }

/** What a change is computed from: a measure's own error on its scale, one child's days. */
type Judged = Pick<Measure, 'use' | 'gameUpTo' | 'scale' | 'error' | 'trials' | 'score' | 'better' | 'caps'>

/** A child's value of a day; undefined if it was not done by the test's rules, or not often enough. */
function valueOn(measure: Judged, tries: readonly Try[], pupil: string, day: string): number | undefined {
  const own = tries.filter((t) => t.pupil === pupil && t.day === day)
  // The best of three tries tends to be better than the best of two.
  if (own.length !== measure.trials || own.some((t) => t.otherwise)) return undefined
  const value = dayValue(
    measure,
    own.map((t) => t.value),
  )
  return measure.scale.kind === 'ratio' && value <= 0 ? undefined : value
}

/** The days of a child that count: a child learns a test by doing it, so the first day does not count, also for one who joined late. */
function countedDays(days: readonly TestDay[], tries: readonly Try[], pupil: string): TestDay[] {
  const done = new Set(tries.filter((t) => t.pupil === pupil).map((t) => t.day))
  return days.filter((day) => done.has(day.key)).slice(1)
}

const meanOf = (values: readonly number[]) => values.reduce((sum, v) => sum + v, 0) / values.length

/** A measure's own error on its scale: for a ratio, the logarithm of its factor. */
const ownError = ({ scale, error }: Judged): number | undefined =>
  error && (scale.kind === 'ratio' ? Math.log(error.value) : error.value)

/** How the class varies between days that lie near, and between tries of a day. */
function errorOf(
  measure: Judged,
  days: readonly TestDay[],
  tries: readonly Try[],
  pupils: readonly string[],
): TypicalError | undefined {
  const own = ownError(measure)
  if (own === undefined) return undefined
  const counted = new Map(pupils.map((pupil) => [pupil, countedDays(days, tries, pupil).map((day) => day.key)]))
  const onDay = (pupil: string, day: string) => {
    const value = counted.get(pupil)!.includes(day) ? valueOn(measure, tries, pupil, day) : undefined
    return value === undefined ? undefined : onScale(value, measure.scale)
  }
  const pairs = nearDays(days).flatMap(([a, b]) =>
    pupils.flatMap((pupil) => {
      const [x, y] = [onDay(pupil, a.key), onDay(pupil, b.key)]
      return x === undefined || y === undefined ? [] : [y - x]
    }),
  )
  const within =
    measure.score === 'sum'
      ? []
      : pupils.flatMap((pupil) => {
          const [a, b] = tries.filter((t) => t.pupil === pupil && t.day !== days[0]?.key && !t.otherwise)
          if (!a || !b || a.day !== b.day || (measure.scale.kind === 'ratio' && Math.min(a.value, b.value) <= 0))
            return []
          return [onScale(b.value, measure.scale) - onScale(a.value, measure.scale)]
        })
  return typicalError(own, pairs, within)
}

/** A child's own change; undefined if a side is missing. */
function childChange(
  measure: Judged,
  { before, after }: Sides,
  own: readonly TestDay[],
  tries: readonly Try[],
  pupil: string,
  error: TypicalError | undefined,
  cap: number | undefined,
): ChildChange | undefined {
  const values = [before, after].map((days) =>
    days.flatMap((day) => (own.includes(day) ? (valueOn(measure, tries, pupil, day.key) ?? []) : [])),
  )
  const [from, to] = values as [number[], number[]]
  if (!from.length || !to.length) return undefined
  const { scale } = measure
  const side = (all: readonly number[]) => ({ mean: meanOf(all.map((v) => onScale(v, scale))), days: all.length })
  const known = error ?? throwsError(scale, [...from, ...to])
  const { word, change, variation } = changeVerdict(side(from), side(to), known)
  const capped = cap !== undefined && [...from, ...to].some((v) => v >= cap)
  return { pupil, word: capped ? 'top' : word, before: meanOf(from), after: meanOf(to), change, variation }
}

/** The error of throws follows from how often they hit; none or all count as one hit or one miss. */
function throwsError(scale: Judged['scale'], values: readonly number[]): TypicalError {
  const tries = scale.kind === 'hits' ? scale.of : 1
  const share = Math.min(1 - 1 / tries, Math.max(1 / tries, meanOf(values) / tries))
  return { error: hitsError(tries, share), freedom: 1000 }
}

/**
 * How a class changed between the first and the last days that count, and what can be said of each child. Each child is compared with
 * itself, the way the test counts, only if the test was done as described, and never with its own first day.
 *
 * @param days in order, the practice test first, all with one set-up and at one moment of the lesson
 * @param pupils of the class, in the order of the result
 * @param grade the lowest of the class
 * @returns the change, or why there is none
 */
export function testChange(
  measure: Judged,
  days: readonly TestDay[],
  tries: readonly Try[],
  pupils: readonly string[],
  grade: number,
): TestChange | Unsaid {
  if (measure.use === 'lesson' || measure.better === 'none') return { none: 'lesson' }
  if (measure.gameUpTo !== undefined && grade <= measure.gameUpTo) return { none: 'game' }
  const sides = sidesOf(days)
  if (!sides) return { none: 'no-two-sides' }
  const cap = measure.caps.findLast((c) => c.fromGrade <= grade)?.value
  const error = errorOf(measure, days, tries, pupils)
  const compared = new Set([...sides.before, ...sides.after].map((day) => day.key))
  const any = pupils.filter((pupil) => tries.some((t) => t.pupil === pupil && compared.has(t.day))).length
  const children = pupils.flatMap(
    (pupil) => childChange(measure, sides, countedDays(days, tries, pupil), tries, pupil, error, cap) ?? [],
  )
  const found = classChange(children.map((child) => child.change))
  if (!found) return { none: 'too-few', both: children.length, any }
  const judged = children.filter((child) => child.word !== 'top')
  return {
    sides,
    class: found,
    any,
    children,
    clear: judged.filter((child) => child.word === 'clear').length,
    byChance: clearByChance(judged.length),
    ...(error && { error }),
  }
}

/**
 * How a class's values changed from before the work to after it in one lesson: the median of the children's own differences, and nothing
 * about single children, because a warm muscle and a second try reach further.
 *
 * @returns undefined below eight children with both
 */
export function lessonChange(
  measure: Judged,
  tries: { before: readonly Try[]; after: readonly Try[] },
  pupils: readonly string[],
): { median: number; children: number } | undefined {
  const value = (own: readonly Try[], pupil: string) => {
    const values = own.filter((t) => t.pupil === pupil && !t.otherwise).map((t) => t.value)
    return values.length === measure.trials ? dayValue(measure, values) : undefined
  }
  const changes = pupils.flatMap((pupil) => {
    const [a, b] = [value(tries.before, pupil), value(tries.after, pupil)]
    return a === undefined || b === undefined ? [] : [b - a]
  })
  if (changes.length < fewestChildren) return undefined
  return { median: classChange(changes)!.median, children: changes.length }
}
