import { defaultGradeNames } from '@esfuerzo/core'

/**
 * Grades to choose from: by the school's own names if it has some, otherwise in words.
 *
 * @param names the school's names for its grades
 * @param t finds words by key
 */
export const gradeItems = (names: readonly string[], t: (key: string) => string): { value: number; title: string }[] =>
  names.map((name, value) => ({ value, title: name === defaultGradeNames[value] ? t(`grade.${value}`) : name }))
