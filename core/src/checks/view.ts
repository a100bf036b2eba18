import type { Library } from '../library/library.ts'
import { libraryFor } from '../library/carryMoves.ts'
import type { Block } from '../session/forms.ts'
import type { Section, Session } from '../session/schema.ts'
import { stationsOf } from '../session/forms.ts'
import type { Cell, Station } from '../session/station.ts'
import type { Group } from '../terms/group.ts'
import type { Move, Version } from '../terms/move.ts'
import { valueFor } from '../terms/perGroup.ts'
import { sessionView, type LaneView } from '../timing/sessionView.ts'
import type { Step } from '../timing/step.ts'
import { obstacles, type Obstacle } from '../home/obstacles.ts'
import { bandOf, limit, type Band } from './limits.ts'
import { saidIn, type Said } from './said.ts'

/** A step with its start and its exercise. */
export interface CheckedStep extends Step {
  move?: string
  doing?: { move: Move; version: Version }
  /** Work that is hard for children: fast, or with a full landing. */
  hard?: true
}

/** A group's lane as rules see it. */
export interface CheckedLane {
  group: Group
  band: Band
  /** The lowest grade. */
  grade: number
  seconds: number
  /** Steps of the whole lane, each with its start from the beginning of the session. */
  steps: readonly CheckedStep[]
  totals: LaneView['totals']
}

/** A station as one group does it. */
export interface CheckedCell {
  section: Section
  block: Block
  station: Station
  group: Group
  cell: Cell
  move: Move
  version: Version
  /** What prevents it in this home. */
  obstacles: readonly Obstacle[]
}

const [hardMet, hardImpact] = [limit('hardMet', 0), limit('hardImpact', 0)]
/** Whether a version is hard work for children: fast, or with a full landing. */
const hardFor = ({ met, impact }: Version): boolean => met >= hardMet || impact >= hardImpact

/** What is known besides the session; missing facts are not checked. */
export interface CheckContext {
  /** Ids of exercises the classes were sent before. */
  known?: ReadonlySet<string>
  /** Whether the school's warm-ups may include a few gentle stretches. */
  heldWarmUp?: boolean
  /** How long a lane worked in the last session of the same aim within three weeks, in seconds. */
  lastWork?: number
}

/** Everything the rules need of a session, computed once. */
export interface CheckView {
  session: Session
  context: CheckContext
  /** The teacher's own words. */
  said: readonly Said[]
  /** Every block by its id, with its section. */
  blocks: ReadonlyMap<string, { section: Section; block: Block }>
  library: Library
  lanes: readonly CheckedLane[]
  cells: readonly CheckedCell[]
}

/**
 * A session as rules see it.
 *
 * @throws {ProblemError} `unknown-move` or `unknown-version`
 */
export function checkView(session: Session, ours: Library, context: CheckContext = {}): CheckView {
  const library = libraryFor(session, ours)
  const doing = (id: string | undefined, version: string | undefined) => {
    const move = id === undefined ? undefined : library.moves.get(id)
    const done = move?.versions.find((v) => v.id === version)
    return move && done && { move, version: done }
  }
  const lanes = sessionView(session, ours).map(({ group, blocks, totals }): CheckedLane => {
    const steps = blocks.flatMap(({ start, timed }) =>
      timed.steps.map((step): CheckedStep => {
        const done = doing(step.move, step.version)
        const placed: CheckedStep = { ...step, at: start + step.at }
        if (done) placed.doing = done
        if (done && step.kind === 'work' && hardFor(done.version)) placed.hard = true
        return placed
      }),
    )
    const seconds = totals.session.seconds.typical
    return { group, band: bandOf(group.grades), grade: Math.min(...group.grades), seconds, steps, totals }
  })
  const known = new Map<Version, readonly Obstacle[]>()
  const inTheWay = ({ move, version }: { move: Move; version: Version }) => {
    const found = known.get(version) ?? obstacles(move, version, session.home, library)
    known.set(version, found)
    return found
  }
  const cells = session.sections.flatMap((section) =>
    section.blocks.flatMap((block) =>
      stationsOf(block).flatMap((station) =>
        session.groups.flatMap((group): CheckedCell[] => {
          const cell = valueFor(station.cells, group.id)
          const done = doing(cell.move, cell.version)
          return done ? [{ section, block, station, group, cell, ...done, obstacles: inTheWay(done) }] : []
        }),
      ),
    ),
  )
  const blocks = new Map(
    session.sections.flatMap((section) => section.blocks.map((block) => [block.id, { section, block }] as const)),
  )
  return { session, context, said: saidIn(session), blocks, library, lanes, cells }
}
