import { lowestGrade, type Group } from '../terms/group.ts'

/** The limits of each grade. A group is held to those of its lowest grade. */
export interface GradeBounds {
  /** Seconds of timed vigorous work in one go. Common practice, no source. */
  work: number
  /** Seconds of timed vigorous work per second of rest. Common practice, no source. */
  workPerRest: number
  /** Seconds of vigorous work in one block. Common practice, no source. */
  vigorousSeconds: number
  /** Full-effort landings per session. After Johnson et al. 2011, J Strength Cond Res 25:2623, from memory; scaled by grade, ours. */
  landings: number
  /** Hard landings per session. Same source. */
  hardLandings: number
}

const k1: GradeBounds = { work: 30, workPerRest: 1, vigorousSeconds: 8 * 60, landings: 50, hardLandings: 15 }
const grade23: GradeBounds = { work: 40, workPerRest: 1.5, vigorousSeconds: 12 * 60, landings: 80, hardLandings: 30 }
const grade46: GradeBounds = { work: 60, workPerRest: 2, vigorousSeconds: 20 * 60, landings: 100, hardLandings: 50 }

/**
 * The limits of a group's lowest grade.
 *
 * @example gradeBounds({ grades: [1, 2] }).work // 30
 */
export function gradeBounds(group: Pick<Group, 'grades'>): GradeBounds {
  const grade = lowestGrade(group)
  return grade <= 1 ? k1 : grade <= 3 ? grade23 : grade46
}

/** Loaded strength: 1–3 sets (Faigenbaum et al. 2009, J Strength Cond Res 23 S60). */
export const loadedSets = 3

/** Short sprints with half as much rest are fine for every grade up to four minutes. Common practice, no source. */
export const shortSprints = { work: 20, workPerRest: 2, seconds: 240 }
