import { bandOf } from '../checks/limits.ts'
import { checkSession } from '../checks/checkSession.ts'
import type { Finding } from '../checks/rule.ts'
import { libraryFor } from '../library/carryMoves.ts'
import type { Library } from '../library/library.ts'
import { changeBlock } from '../session/edits/locate.ts'
import type { Block } from '../session/forms.ts'
import type { Session } from '../session/schema.ts'
import type { Group } from '../terms/group.ts'
import { sessionView, type LaneView } from '../timing/sessionView.ts'
import { signalOf, type CameBack, type Signal } from './cameBack.ts'
import { stepsOf } from './formSteps.ts'
import type { NextLever, NextStep } from './step.ts'

/** A change for next time: one lever of one block for one lane, by its smallest step. */
export interface NextChange {
  group: string
  block: string
  direction: 'up' | 'down'
  lever: NextLever
  facts: NextStep['facts']
}

/** What a lane does next time, and why. */
export interface LaneNext {
  group: string
  signal: Signal
  /** Runs of the last time. */
  runs: number
  /**
   * Why nothing is proposed: it was weeks ago; there is no step that is small enough, or none at all; what could be changed is shared by
   * all lanes, and it is at its limit or they do not agree.
   */
  why?: 'long-ago' | 'no-step' | 'shared' | 'apart'
  /** The first proposal, then its alternatives. Never two of them in one session. */
  changes: NextChange[]
}

/** After this many weeks without it, it is repeated unchanged: common practice, no source. */
const longAgo = 3
/** The largest increase of work per week; ours. */
const moreAWeek = 0.1
/** At most this many ways are shown. */
const mostWays = 3

/** A finding's rule and place, whatever its numbers: an existing finding with other numbers is not a new one. */
const saying = ({ rule, level, where }: Finding): string =>
  [rule, level, where.block ?? where.section, where.station].join(' ')

/** What of a session can be made a step harder or easier for a lane: its main section first, in the order of the form's own steps. */
function candidates(
  session: Session,
  library: Library,
  group: Group,
  direction: 'up' | 'down',
): { change: NextChange; step: NextStep }[] {
  const at = { group, band: bandOf(group.grades), library: libraryFor(session, library), home: session.home }
  const roles = ['main', 'challenge', 'game']
  const blocks = session.sections
    .filter((s) => roles.includes(s.role))
    .sort((a, b) => roles.indexOf(a.role) - roles.indexOf(b.role))
    .flatMap((s) => s.blocks)
  return blocks.flatMap((block) =>
    stepsOf(block, at)[direction].flatMap((step) =>
      step
        ? [{ change: { group: group.id, block: block.id, direction, lever: step.lever, facts: step.facts }, step }]
        : [],
    ),
  )
}

const withStep = (session: Session, { change: { block }, step }: { change: NextChange; step: NextStep }): Session =>
  changeBlock(session, block, () => step.block as Block)

/**
 * What each lane does next time: one lever, its smallest step, based on the results. No step makes a lane longer than the session's
 * minutes, increases its work by more than a tenth per week since, or adds a finding of weight *fix* or *advice*.
 *
 * @param cameBack the runs of each lane, time by time, the latest first
 * @param weeks since it was last sent home, at least one
 */
export function nextTime(
  session: Session,
  library: Library,
  cameBack: Readonly<Record<string, readonly (readonly CameBack[])[]>>,
  weeks: number,
): LaneNext[] {
  const before = sessionView(session, library)
  const known = new Set(checkSession(session, library).map(saying))
  const signals = session.groups.map((group) => signalOf(cameBack[group.id] ?? []))
  const agreed = signals.every((signal) => signal === signals[0])
  return session.groups.map((group, i): LaneNext => {
    const times = cameBack[group.id] ?? []
    const signal = signals[i]!
    const lane = { group: group.id, signal, runs: times[0]?.length ?? 0 }
    if (signal !== 'up' && signal !== 'down') return { ...lane, changes: [] }
    if (signal === 'up' && weeks > longAgo) return { ...lane, why: 'long-ago', changes: [] }
    const within = (lanes: readonly LaneView[], lane: number) => {
      const { work, seconds } = before[lane]!.totals.session
      const now = lanes[lane]!.totals.session
      const most = work * (1 + moreAWeek * Math.max(1, weeks))
      return now.work <= most && now.seconds.typical <= Math.max(session.minutes * 60, seconds.typical)
    }
    const found = candidates(session, library, group, signal).filter(({ step }) => {
      const after = changeBlock(session, (step.block as Block).id, () => step.block as Block)
      const lanes = sessionView(after, library)
      const moved = step.shared ? session.groups.map((_, lane) => lane) : [i]
      if (signal === 'up' && !moved.every((lane) => within(lanes, lane))) return false
      return checkSession(after, library).every((f) => f.level === 'note' || known.has(saying(f)))
    })
    // A lever shared by all lanes moves once, and only if all of them agree.
    const changes = found.filter(({ step }) => !step.shared || (agreed && i === 0))
    if (!changes.length) return { ...lane, why: !found.length ? 'no-step' : agreed ? 'shared' : 'apart', changes: [] }
    return { ...lane, changes: changes.slice(0, mostWays).map((c) => c.change) }
  })
}

/**
 * A session with some of the changes, as one edit. A change whose step no longer exists is skipped.
 *
 * @throws {ProblemError} `not-found` if a block was removed since
 */
export const applyNext = (session: Session, library: Library, changes: readonly NextChange[]): Session =>
  changes.reduce((now, change) => {
    const group = now.groups.find((g) => g.id === change.group)
    const found =
      group &&
      candidates(now, library, group, change.direction).find(
        ({ change: c }) => c.block === change.block && c.lever === change.lever,
      )
    return found ? withStep(now, found) : now
  }, session)

/**
 * The session's title next time, numbered.
 *
 * @example nextTitle('Ten gannets') // 'Ten gannets 2'
 * @example nextTitle('Ten gannets 2') // 'Ten gannets 3'
 */
export function nextTitle(title: string): string {
  const match = /^(.*\S) (\d{1,3})$/.exec(title)
  return match ? `${match[1]} ${Number(match[2]) + 1}` : `${title} 2`
}
