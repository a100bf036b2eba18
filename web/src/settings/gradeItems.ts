import { defaultGradeNames } from '@esfuerzo/core'

/**
 * Grades to choose from: by the school's own names where it has given some, else in words.
 *
 * @param names what the school calls its grades
 * @param t finds words by key
 */
export const gradeItems = (names: readonly string[], t: (key: string) => string): { value: number; title: string }[] =>
  names.map((name, value) => ({ value, title: name === defaultGradeNames[value] ? t(`grade.${value}`) : name }))
