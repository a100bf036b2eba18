import { cardValues, tossed, tossValues } from './things.ts'
import { changeSeconds, changeSpan, type Stance } from '../../timing/changeOver.ts'
import { countedWork, doseTaken, isByClock, unitTaken } from '../../timing/countedWork.ts'
import { defaultOf } from '../../timing/defaults.ts'
import { openDose } from '../../timing/openDose.ts'
import { breathSeconds } from '../../timing/pace.ts'
import type { StepBuilder } from '../../timing/stepBuilder.ts'
import { chanceTable, roundsOfToss, type ChanceBlock } from './schema.ts'
import type { Dose } from '../../terms/dose.ts'
import type { Face, Station } from '../../session/station.ts'
import type { Unit } from '../../terms/units.ts'

/** Seconds from one draw to its task: flipping, fetching, looking it up. */
const drawSeconds: Record<ChanceBlock['device'], number> = {
  coin: defaultOf('coinDraw'),
  cards: defaultOf('cardDraw'),
  dice: defaultOf('throwOne'),
  toss: tossed * defaultOf('throwOne') + defaultOf('collect'),
}

export interface ChanceRow {
  station: Station
  /** What is counted. */
  unit: Unit
  /** Typical seconds for each number that may be drawn; one entry if the amount is the row's own. */
  tasks: readonly number[]
  /** Whether it runs by the clock: the same for every child. */
  clocked: boolean
  /** Its place in `changes`. */
  stance: number
}

/** A chance block as one group meets it. */
export interface ChanceModel {
  device: ChanceBlock['device']
  stop: ChanceBlock['stop']
  faces: readonly { face: Face; rows: readonly ChanceRow[] }[]
  /** Seconds of one draw. */
  draw: number
  /** Typical seconds of changing over from one position to another; 0 is the position in which the block starts. */
  changes: readonly (readonly number[])[]
  seed: number
}

/**
 * @param steps of the group, before the block
 * @throws {ProblemError} `unknown-move` or `unknown-version`
 */
export function chanceModel(block: ChanceBlock, steps: StepBuilder): ChanceModel {
  const stances: Stance[] = [steps.carry.stance]
  const places = new Map<string, number>()
  const placeOf = (stance: Stance): number => {
    const key = [stance.posture, ...stance.held].join()
    const there = places.get(key) ?? stances.push(stance) - 1
    places.set(key, there)
    return there
  }
  const rowOf = (station: Station): ChanceRow => {
    const { cell, what, stance } = steps.turn(station)
    const counting = { version: what.version, tempo: cell.tempo, pace: steps.pace, breath: breathSeconds(steps.group) }
    const seconds = (dose: Dose) => {
      const { typical } = countedWork(dose, counting)
      return what.sides === 'each' ? 2 * typical + defaultOf('switchSide') : typical
    }
    const numbers = block.device === 'cards' ? cardValues : block.device === 'toss' ? tossValues : undefined
    const own = doseTaken(cell.dose ?? openDose, what.move)
    const unit = numbers ? unitTaken('reps', what.move) : own.unit
    return {
      station,
      unit,
      tasks: numbers ? numbers.map((amount) => (amount ? seconds({ unit, amount }) : 0)) : [seconds(own)],
      clocked: numbers ? unit === 'seconds' : isByClock(own),
      stance: placeOf(stance),
    }
  }
  const faces = [...chanceTable(block)].map(([face, stations]) => ({ face, rows: stations.map(rowOf) }))
  return {
    device: block.device,
    stop: block.device === 'toss' ? roundsOfToss(block.stop) : block.stop,
    faces,
    draw: drawSeconds[block.device],
    changes: stances.map((from) => stances.map((to) => changeSpan(changeSeconds(from, to), steps.pace).typical)),
    seed: block.seed,
  }
}
