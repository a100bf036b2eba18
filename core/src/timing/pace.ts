import { lowestGrade, type Group } from '../terms/group.ts'
import { defaultOf } from './defaults.ts'

const gradePace = (grade: number): number => defaultOf(grade <= 1 ? 'paceK1' : grade <= 3 ? 'pace23' : 'pace46')

/**
 * How much longer a group takes for counted work than grades 4–6: the mean over its grades.
 *
 * @example defaultPace({ grades: [0, 1] }) // 1.25
 * @example defaultPace({ grades: [3, 4] }) // 1.05
 */
export const defaultPace = (group: Pick<Group, 'grades'>): number =>
  group.grades.reduce((sum, grade) => sum + gradePace(grade), 0) / group.grades.length

/** Seconds of one slow breath in a group; held to its lowest grade. */
export const breathSeconds = (group: Pick<Group, 'grades'>): number =>
  defaultOf(lowestGrade(group) <= 1 ? 'breathK1' : 'breath')
