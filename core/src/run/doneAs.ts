import type { PublishedMove } from '../publication/schema.ts'
import type { Course, PlayedStep } from './course.ts'
import { stationAt, type LaneState } from './player.ts'

/** The exercise and version of a step, after the child's choices and easier taps. */
export interface DoneAs {
  move: PublishedMove
  version: PublishedMove['versions'][number]
  /** Whether it is the easiest. */
  easiest: boolean
  /** Whether it differs from what the session says. */
  changed: boolean
}

/**
 * What is done at a step of a lane.
 *
 * @param moves of the publication, by id
 * @param index of the step, if not the current one
 * @returns undefined if a step has no exercise, or the child has not picked one yet
 */
export function doneAs(
  moves: ReadonlyMap<string, PublishedMove>,
  { lane }: Course['lanes'][number],
  state: LaneState,
  step: PlayedStep | undefined,
  index = state.index,
): DoneAs | undefined {
  if (!step) return undefined
  const station = stationAt(state, step, index)
  const play = lane.plays[step.block]
  const turn = play && 'turns' in play ? play.turns.find((t) => t.station === station) : undefined
  const chosen = station ? state.chosen[station] : undefined
  const move = moves.get(chosen ?? step.move ?? turn?.move ?? '')
  if (!move) return undefined
  const wanted = chosen ? (lane.choices[chosen] ?? move.standard) : (step.version ?? turn?.version)
  const at = Math.max(
    0,
    move.versions.findIndex((v) => v.id === wanted),
  )
  const down = (station && state.easier[station]) || 0
  const version = move.versions[Math.max(0, at - down)]!
  return { move, version, easiest: at - down <= 0, changed: chosen !== undefined || (down > 0 && at > 0) }
}
