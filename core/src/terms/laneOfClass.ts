interface Graded {
  grades?: readonly number[]
}

const shared = ({ grades = [] }: Graded, classGrades: readonly number[]) =>
  grades.filter((grade) => classGrades.includes(grade)).length

/** The distance from a lane's closest grade to a class's; a lane without grades is farthest. */
const away = ({ grades = [] }: Graded, classGrades: readonly number[]) =>
  Math.min(Infinity, ...grades.flatMap((a) => classGrades.map((b) => Math.abs(a - b))))

/**
 * The lane a class runs: the one that shares most of its grades, otherwise the nearest; the first of several.
 *
 * @param grades of the class
 * @returns undefined if there is no lane
 * @example laneOfClass([{ id: 'g1', grades: [0, 1] }, { id: 'g2', grades: [2, 3] }], [1, 2, 3]) // { id: 'g2', grades: [2, 3] }
 */
export const laneOfClass = <L extends Graded>(lanes: readonly L[], grades: readonly number[]): L | undefined =>
  [...lanes].sort((a, b) => shared(b, grades) - shared(a, grades) || away(a, grades) - away(b, grades))[0]

/**
 * The lanes for a class: its own, or all lanes if no class is given.
 *
 * @example lanesOfClass([{ id: 'g1', grades: [0] }, { id: 'g2', grades: [2] }], [2]) // [{ id: 'g2', grades: [2] }]
 */
export function lanesOfClass<L extends Graded>(lanes: readonly L[], grades?: readonly number[]): L[] {
  const own = grades && laneOfClass(lanes, grades)
  return own ? [own] : [...lanes]
}

/** Whether a session is for a class: one of its lanes shares a grade with it. @example isForClass([{ grades: [0, 1] }], [1, 2]) // true */
export const isForClass = (lanes: readonly Graded[], grades: readonly number[]): boolean =>
  lanes.some((lane) => shared(lane, grades) > 0)
