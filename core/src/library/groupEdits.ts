import { limits } from '../base/limits.ts'
import type { Library } from './library.ts'
import { versionFor } from './versionFor.ts'
import { ProblemError } from '../base/problem.ts'
import { hasStations } from '../session/forms.ts'
import { defaultAges, gradesName, groupSchema, laneLetters, lowestGrade, type Group } from '../terms/group.ts'
import { nextId } from '../base/id.ts'
import { looksPerGroup, mapGroups, withoutGroup, type PerGroup } from '../terms/perGroup.ts'
import { newGroup } from '../session/newSession.ts'
import type { Session } from '../session/schema.ts'
import { checked, idsOf, replaced, withinLimits, without } from '../session/edits/locate.ts'

const groupPlace = (session: Session, groupId: string): number => {
  const at = session.groups.findIndex((g) => g.id === groupId)
  if (at < 0) throw new ProblemError([{ code: 'not-found', path: [groupId], received: groupId }])
  return at
}

/**
 * Adds a lane. It does what all do, in the version of each exercise that its lowest grade is ready for.
 *
 * @param gradeNames the school's names for its grades
 * @throws {ProblemError} `too-many` with six groups already
 */
export function addGroup(
  session: Session,
  grades: readonly number[],
  library: Library,
  gradeNames?: readonly string[],
): Session {
  const used = new Set(session.groups.map((g) => g.letter))
  const letter = laneLetters.find((l) => !used.has(l))
  if (!letter)
    throw new ProblemError([{ code: 'too-many', path: ['groups'], expected: { atMost: limits.groups, of: 'groups' }, received: { count: limits.groups + 1, of: 'groups' } }])
  const group = checked(groupSchema, newGroup(nextId(idsOf(session), 'g'), letter, grades, gradeNames))
  const sections = session.sections.map((section) => ({
    ...section,
    blocks: section.blocks.map((block) => {
      if (!hasStations(block)) return block
      const stations = block.stations.map((station) => ({
        ...station,
        cells: mapGroups(station.cells, [group.id], (cell) => {
          const move = library.moves.get(cell.move)
          if (!move) return cell
          // A version the grade is ready for stays; a harder one is replaced by the grade's own.
          const ready = (id: string | undefined) =>
            (move.versions.find((v) => v.id === id)?.fromGrade ?? 0) <= lowestGrade(group)
          const { fromLap = [], ...base } = cell
          const changes = fromLap.filter((change) => ready(change.version))
          return {
            ...base,
            version: ready(cell.version) ? cell.version : versionFor(move, group).id,
            ...(changes.length && { fromLap: changes }),
          }
        }),
      }))
      return { ...block, stations }
    }),
  }))
  return withinLimits({ ...session, groups: [...session.groups, group], sections })
}

/**
 * Removes a lane with all of its own values.
 *
 * @throws {ProblemError} `too-small` if it is the last
 */
export function removeGroup(session: Session, groupId: string): Session {
  const at = groupPlace(session, groupId)
  if (session.groups.length === 1) {
    throw new ProblemError([{ code: 'too-small', path: ['groups'], expected: { atLeast: 1, of: 'groups' }, received: { count: 0, of: 'groups' } }])
  }
  const strip = (value: unknown): unknown => {
    if (value === null || typeof value !== 'object') return value
    if (Array.isArray(value)) return value.map(strip)
    if (looksPerGroup(value)) return withoutGroup(value as PerGroup<unknown>, groupId)
    return Object.fromEntries(Object.entries(value).map(([key, inner]) => [key, strip(inner)]))
  }
  return {
    ...session,
    groups: without(session.groups, at),
    sections: strip(session.sections) as Session['sections'],
  }
}

/**
 * Changes a lane's name or grades; with the grades change its ages and, unless the teacher named it, its name.
 *
 * @param gradeNames the school's names for its grades
 */
export function setGroup(
  session: Session,
  groupId: string,
  fields: Partial<Pick<Group, 'name' | 'grades' | 'pace'>>,
  gradeNames?: readonly string[],
): Session {
  const at = groupPlace(session, groupId)
  const now = session.groups[at]!
  const next = { ...now, ...fields }
  if (fields.pace === 1) delete next.pace
  if (fields.grades?.length) {
    next.ages = defaultAges(fields.grades)
    if (fields.name === undefined && now.name === gradesName(now.grades, gradeNames))
      next.name = gradesName(fields.grades, gradeNames)
  }
  return { ...session, groups: replaced(session.groups, at, checked(groupSchema, next)) }
}
