import { defaultAges, gradesName, laneLetters, type Group } from '../terms/group.ts'
import { newIntervals } from '../forms/intervals/schema.ts'
import { newList } from '../forms/list/schema.ts'
import { limits } from '../base/limits.ts'
import { sessionFormat, sessionVersion, type Session } from './schema.ts'

/**
 * A new session: a warm-up, a three-lap circuit and a cool-down, each still empty.
 *
 * @param title the session's name
 * @param grades the grades of each group, in lane order
 * @param minutes the budget
 * @param libraryVersion of the library the moves will come from
 * @param gradeNames what the school calls its grades
 * @throws {RangeError} with no groups or more than six
 * @example newSession('Storm-day springs', [[0, 1], [2, 3]], 20, 1).groups[0].name // 'K–1'
 */
export function newSession(
  title: string,
  grades: readonly (readonly number[])[],
  minutes: number,
  libraryVersion: number,
  gradeNames?: readonly string[],
): Session {
  if (grades.length < 1 || grades.length > limits.groups) {
    throw new RangeError(`newSession: groups must be 1 to ${limits.groups}, got ${grades.length}`)
  }
  return {
    format: sessionFormat,
    version: sessionVersion,
    title,
    aim: { builds: [], target: '', words: [] },
    minutes,
    finishTogether: false,
    groups: grades.map((g, i) => newGroup(`g${i + 1}`, laneLetters[i]!, g, gradeNames)),
    home: { space: 'mat', quiet: false, company: 'alone', kit: [], standIns: {}, outdoors: false },
    libraryVersion,
    sections: [
      { id: 'p1', role: 'warmUp', title: 'Warm-up', blocks: [newList('b1')] },
      { id: 'p2', role: 'main', title: 'Main part', blocks: [newIntervals('b2')] },
      { id: 'p3', role: 'coolDown', title: 'Cool-down', blocks: [newList('b3')] },
    ],
  }
}

/** A group with the name and ages its grades suggest. @param names the school's grade names */
export const newGroup = (
  id: string,
  letter: Group['letter'],
  grades: readonly number[],
  names?: readonly string[],
): Group => ({
  id,
  letter,
  name: gradesName(grades, names),
  grades: [...grades],
  ages: defaultAges(grades),
})
