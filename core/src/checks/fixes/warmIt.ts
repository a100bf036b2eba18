import { versionsFor } from '../../home/obstacles.ts'
import { addStation } from '../../session/edits/stations.ts'
import { traitsOf } from '../../session/formTraits.ts'
import { sharedCells } from '../../library/cellsFor.ts'
import type { Cell } from '../../session/station.ts'
import { lowestGrade } from '../../terms/group.ts'
import type { Move } from '../../terms/move.ts'
import { hardSteps } from '../hardWork.ts'
import { limit } from '../limits.ts'
import type { Candidate, FixMaker, Fixing } from './fix.ts'

/** How long, or how often, the warm-up does easily what comes hard later (ours). */
const easySeconds = 30
const easyReps = 8

/** The hard exercises of the session that work a muscle, the longest first. */
function hardMoves({ view, finding }: Fixing): Move[] {
  const seconds = new Map<Move, number>()
  for (const lane of view.lanes)
    for (const { doing, seconds: s } of hardSteps(lane)) {
      const muscles = doing!.move.muscles.main
      if (muscles.includes(String(finding.facts.muscle)))
        seconds.set(doing!.move, (seconds.get(doing!.move) ?? 0) + s.typical)
    }
  return [...seconds].sort((a, b) => b[1] - a[1]).map(([move]) => move)
}

/** The easy form of an exercise for every group; undefined if a group has none. */
function easily({ view }: Fixing, move: Move) {
  const { session, library } = view
  const easy = session.groups.map((group) =>
    versionsFor(move, session.home, library, lowestGrade(group)).find(
      (v) => v.met < limit('hardMet', 0) && v.impact < limit('hardImpact', 0),
    ),
  )
  if (easy.includes(undefined)) return undefined
  const timed = move.measures.includes('seconds')
  return sharedCells(session.groups, (group): Cell => ({
    move: move.id,
    version: easy[session.groups.indexOf(group)]!.id,
    dose: timed ? { unit: 'seconds', amount: easySeconds } : { unit: 'reps', amount: easyReps },
  }))
}

/** The hard exercise itself, done easily, in the warm-up. */
export const warmIt: FixMaker = {
  id: 'warm-it',
  *candidates(fixing): Generator<Candidate> {
    const { session } = fixing.view
    const list = session.sections
      .filter((s) => s.role === 'warmUp')
      .flatMap((s) => s.blocks)
      .find((b) => traitsOf(b).plainRows)
    for (const move of list ? hardMoves(fixing) : []) {
      const cells = easily(fixing, move)
      if (cells) yield { facts: { move: move.name }, session: addStation(session, list!.id, cells) }
    }
  },
}
