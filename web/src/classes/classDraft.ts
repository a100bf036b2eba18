import { DateTime } from 'luxon'
import { cleanText, sameValue } from '@esfuerzo/core'
import { monthsLater, usualYearEnd } from '@esfuerzo/core/classBook'
import type { SchoolClass } from '@esfuerzo/contract'

/** A class's fields. */
export type ClassDraft = Pick<SchoolClass, 'name' | 'grades' | 'yearEnds' | 'keepMonths' | 'pace'>

export const newClassDraft = (): ClassDraft => ({
  name: '',
  grades: [],
  yearEnds: usualYearEnd(DateTime.now().toISODate()),
  keepMonths: 0,
  pace: null,
})

export const draftOf = ({ name, grades, yearEnds, keepMonths, pace }: SchoolClass): ClassDraft => ({
  name,
  grades: [...grades],
  yearEnds,
  keepMonths,
  pace,
})

/** Whether it can be stored. */
export const isWhole = ({ name, grades, yearEnds }: ClassDraft): boolean =>
  name.trim() !== '' && grades.length > 0 && /^2\d{3}-\d\d-\d\d$/.test(yearEnds)

export const cleanDraft = (draft: ClassDraft): ClassDraft => ({ ...draft, name: cleanText(draft.name, 'line').trim() })

/**
 * The changed fields of a class: missing fields stay, because another page may have changed them meanwhile.
 *
 * @example changedFields({ ...draft, name: '2b' }, { ...draft, name: '3b' }) // { name: '3b' }
 */
export const changedFields = (before: ClassDraft, after: ClassDraft): Partial<ClassDraft> =>
  Object.fromEntries(
    (Object.keys(after) as (keyof ClassDraft)[])
      .filter((key) => !sameValue(before[key], after[key]))
      .map((key) => [key, after[key]]),
  )

/**
 * A class one year later: each grade becomes the next, its year's end moves too, and so does the number in its name if that was a grade's.
 *
 * @example movedUp({ name: 'Class 3', grades: [3], yearEnds: '2027-07-31', keepMonths: 0 }).name // 'Class 4'
 */
export function movedUp(draft: ClassDraft): ClassDraft {
  const grades = [...new Set(draft.grades.map((grade) => Math.min(6, grade + 1)))]
  const name = draft.name.replace(/\d+/, (n) => (draft.grades.includes(Number(n)) ? String(Number(n) + 1) : n))
  // Its pace was relative to its former grades.
  return { ...draft, pace: null, name, grades, yearEnds: monthsLater(draft.yearEnds, 12) }
}
