import { libraryFor } from '../moves/carryMoves.ts'
import type { Library } from '../moves/library.ts'
import { drawSeconds, taskSeconds } from '../timing/chance.ts'
import { defaultPace } from '../timing/pace.ts'
import { StepBuilder } from '../timing/stepBuilder.ts'
import { timeBlock } from '../timing/timeline.ts'
import { chanceTable, type ChanceBlock } from '../workout/forms/chance.ts'
import type { Group } from '../workout/group.ts'
import type { Face, Station } from '../workout/station.ts'
import type { Workout } from '../workout/schema.ts'

export interface ChanceRow {
  station: Station
  /** Typical seconds by each number that may be drawn with it; one entry where the dose is the row's own. */
  tasks: readonly number[]
}

/** A chance block as one group meets it. */
export interface ChanceModel {
  device: ChanceBlock['device']
  stop: ChanceBlock['stop']
  faces: readonly { face: Face; rows: readonly ChanceRow[] }[]
  /** Seconds of one draw. */
  draw: number
  /** Seconds of changing over and changing sides over the whole block, as the timeline has them. */
  changes: number
}

/** @throws {ProblemError} `unknown-move` or `unknown-version` */
export function chanceModel(
  block: ChanceBlock,
  group: Group,
  workout: Workout,
  ours: Library,
  pace = defaultPace(group),
): ChanceModel {
  const library = libraryFor(workout, ours)
  const steps = new StepBuilder(group, library, pace)
  timeBlock(block, steps)
  const changes = steps.steps
    .filter((s) => s.say.code === 'changeTo' || s.say.code === 'switchSide')
    .reduce((sum, s) => sum + s.seconds.typical, 0)
  return {
    device: block.device,
    stop: block.stop,
    faces: [...chanceTable(block)].map(([face, stations]) => ({
      face,
      rows: stations.map((station) => ({ station, tasks: taskSeconds(block, station, steps) })),
    })),
    draw: drawSeconds[block.device],
    changes: block.stop.kind === 'seconds' ? 0 : changes,
  }
}
