import { changeBlock, findBlock } from '../session/edits/locate.ts'
import type { Session } from '../session/schema.ts'
import type { LeverKind } from './lever.ts'
import { leversOf } from './levers.ts'
import { turnedFor, withoutStations } from './settings.ts'

/**
 * One named change: a lever turned some steps for all groups or for one; a station left out; or a group that stays unchanged while the
 * others change. A group's own changes of a block replace those for all.
 */
export interface FitChange {
  block: string
  lever: LeverKind | 'out' | 'stay'
  scope: 'all' | string
  /** 0 if nothing changes. */
  steps: number
  /** The station that is left out. */
  station?: string
  /** The lever's value now and after, for each of its groups. */
  from: Record<string, number>
  to: Record<string, number>
}

/**
 * The session with some of the proposed changes, as one edit.
 *
 * @param changes the accepted changes of one proposal
 * @throws {ProblemError} `not-found` if the session has changed since
 */
export function applyFit(session: Session, changes: readonly FitChange[]): Session {
  const groups = session.groups.map((g) => g.id)
  return [...new Set(changes.map((c) => c.block))].reduce((now, id) => {
    const here = changes.filter((c) => c.block === id)
    const block = findBlock(now, id)
    const levers = leversOf(block)
    const setting = (scope: string) => ({
      steps: levers.map(({ kind }) =>
        here.filter((c) => c.scope === scope && c.lever === kind).reduce((sum, c) => sum + c.steps, 0),
      ),
    })
    const ownGroups = groups.filter((g) => here.some((c) => c.scope === g))
    const followers = groups.filter((g) => !ownGroups.includes(g))
    return changeBlock(now, id, (original) => {
      const shared =
        turnedFor(original, 'all', setting('all')) ?? turnedFor(original, followers, setting('all')) ?? original
      const turned = ownGroups.reduce((next, g) => {
        const reset = levers.reduce((b, lever) => lever.copy(b, g, original), next)
        return turnedFor(reset, [g], setting(g)) ?? reset
      }, shared)
      return withoutStations(
        turned,
        here.flatMap((c) => c.station ?? []),
      )
    })
  }, session)
}
