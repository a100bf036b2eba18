import { bandOf } from '../checks/limits.ts'
import { calmVersions } from '../suggest/candidates.ts'
import { versionAtHome } from '../choose/versionAtHome.ts'
import { versionsFor } from '../home/obstacles.ts'
import { firstDose, sharedCells } from '../library/cellsFor.ts'
import type { Library } from '../library/library.ts'
import type { Form } from '../session/forms.ts'
import { traitsOf } from '../session/formTraits.ts'
import type { Cell, LapChange } from '../session/station.ts'
import type { Dose } from '../terms/dose.ts'
import { lowestGrade, type Group } from '../terms/group.ts'
import type { Move, Version } from '../terms/move.ts'
import type { PerGroup } from '../terms/perGroup.ts'
import type { DraftAsk } from './ask.ts'

/** How much a row asks for. */
export interface RowHow {
  /** Of the usual amount. */
  times?: number
  /** Built up over so many laps: easier first, then as usual, then a step on. */
  laps?: number
  /** In the version before the usual one, where there is one. */
  easier?: boolean
  /** In a calm version: the hardest of them, or the easiest. */
  calm?: 'hardest' | 'easiest'
  slow?: boolean
}

/** Reps, seconds of a hold, seconds of moving about: by band. Common practice, no source. */
const reps = [6, 8, 10] as const
/** Where chance deals the same sheet to everybody the numbers lie closer, so that lanes end near each other. */
const repsAlike = [8, 9, 10] as const
const holds = [10, 15, 20] as const
const moving = [20, 25, 30] as const
/** Numbers that are said to children. */
const spoken = [3, 4, 5, 6, 8, 10, 12]
/** Full landings come in few. */
const mostJumps = 6

/** What a bag or a bottle weighs to begin with, by band, in kilograms. Ours. */
const weights = [0.3, 0.5, 1] as const
const weightOf = (move: Move, version: Version): boolean =>
  move.loadable === true &&
  (version.kit ?? move.kit).some((k) => ['school-bag', 'bottle'].includes(k.id) && !k.optional)

/** What a group begins with in a form, as a number a child can do well. */
export function doseOf(
  move: Move,
  version: Version,
  group: Group,
  form: Form,
  { hold }: Pick<DraftAsk, 'hold'>,
  times = 1,
): Dose | undefined {
  const kind = traitsOf({ form }).dose
  if (kind === 'clock' || kind === 'form') return undefined
  const band = bandOf(group.grades)
  if (move.stretches) return firstDose(move, group, form, hold)
  if (!move.measures.includes('reps')) {
    const held = ['brace', 'balance', 'squat', 'extend', 'lunge', 'push'].includes(move.family)
    const amount = (held ? holds : moving)[band] * Math.max(times, 0.5)
    return { unit: 'seconds', amount: Math.max(5, 5 * Math.round(amount / 5)) }
  }
  const sides = version.sides ?? move.sides
  const slower = version.secondsPerRep > 2.9 ? 0.7 : 1
  const usual = (kind === 'own' ? repsAlike : reps)[band] * times * slower * (sides === 'each' ? 0.6 : 1)
  const most = version.impact >= 0.5 ? Math.min(usual, mostJumps) : usual
  const numbers = sides === 'alternating' ? spoken.filter((n) => n % 2 === 0) : spoken
  return { unit: 'reps', amount: numbers.reduce((a, b) => (Math.abs(b - most) < Math.abs(a - most) ? b : a)) }
}

/** The version a group does at home, the one before it and the one after it, as far as it is ready for them. */
export function stepsAt(
  move: Move,
  group: Group,
  { home }: Pick<DraftAsk, 'home'>,
  library: Library,
): { easier: Version | undefined; usual: Version; harder: Version | undefined } {
  const usual = versionAtHome(move, group, home, library)
  const ready = versionsFor(move, home, library, lowestGrade(group))
  const place = move.versions.indexOf(usual)
  const harder = move.versions.slice(place + 1).find((v) => ready.includes(v))
  return {
    usual,
    easier: move.versions.slice(0, place).findLast((v) => ready.includes(v)),
    // What lands harder is for the teacher to choose.
    harder: harder && harder.impact <= Math.max(usual.impact, 0.25) ? harder : undefined,
  }
}

/** The version a row begins with for a group. */
function firstVersion(
  move: Move,
  group: Group,
  ask: DraftAsk,
  library: Library,
  { laps = 1, easier: asEasier, calm }: RowHow,
): Version {
  const { easier, usual } = stepsAt(move, group, ask, library)
  if (calm) return calmVersions(move, group, ask.home, library).at(calm === 'easiest' ? 0 : -1) ?? easier ?? usual
  return (laps > 1 || asEasier) && easier ? easier : usual
}

/** How a row is built up over its laps: easier first, then as usual, then a step on; where there are no versions, more of it. */
function lapChanges(
  move: Move,
  group: Group,
  ask: DraftAsk,
  library: Library,
  laps: number,
  dose: Dose | undefined,
): LapChange[] {
  if (laps < 2) return []
  const { easier, usual, harder } = stepsAt(move, group, ask, library)
  const changes: LapChange[] = easier ? [{ lap: 2, version: usual.id }] : []
  if (laps > 2 && harder) changes.push({ lap: changes.length ? 3 : 2, version: harder.id })
  if (changes.length || typeof dose?.amount !== 'number') return changes
  return [{ lap: 2, dose: { ...dose, amount: dose.amount + (dose.unit === 'reps' ? 2 : 5) } }]
}

/** What every group does of a move, each its own version and number. */
export const rowCells = (move: Move, form: Form, ask: DraftAsk, library: Library, how: RowHow = {}): PerGroup<Cell> =>
  sharedCells(ask.groups, (group) => {
    const { times = 1, laps = 1, slow } = how
    const built = lapChanges(
      move,
      group,
      ask,
      library,
      laps,
      doseOf(move, firstVersion(move, group, ask, library, how), group, form, ask, times),
    )
    const version =
      built.length || laps < 2 ? firstVersion(move, group, ask, library, how) : stepsAt(move, group, ask, library).usual
    const dose = doseOf(move, version, group, form, ask, times)
    return {
      move: move.id,
      version: version.id,
      ...(dose && { dose }),
      ...(weightOf(move, version) && { load: { kg: weights[bandOf(group.grades)] } }),
      ...(slow && { tempo: 'slow' as const }),
      ...(built.length > 0 && { fromLap: built }),
    }
  })
