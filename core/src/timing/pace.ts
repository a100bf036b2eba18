import { lowestGrade, type Group } from '../terms/group.ts'
import { defaultOf } from './defaults.ts'

const gradePace = (grade: number): number => defaultOf(grade <= 1 ? 'paceK1' : grade <= 3 ? 'pace23' : 'pace46')

/**
 * How much longer a group takes for counted work than grades 4–6: the mean over its grades, or its own pace.
 *
 * @example defaultPace({ grades: [0, 1] }) // 1.25
 * @example defaultPace({ grades: [3, 4] }) // 1.05
 * @example defaultPace({ grades: [4], pace: 1.1 }) // 1.1
 */
export const defaultPace = ({ grades, pace = 1 }: Pick<Group, 'grades' | 'pace'>): number =>
  (grades.reduce((sum, grade) => sum + gradePace(grade), 0) / grades.length) * pace

/** Seconds of one slow breath in a group, by its lowest grade. */
export const breathSeconds = (group: Pick<Group, 'grades'>): number =>
  defaultOf(lowestGrade(group) <= 1 ? 'breathK1' : 'breath')
