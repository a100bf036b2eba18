import type { IntervalsBlock, Lap } from '../workout/forms/intervals.ts'
import { clocked } from './span.ts'
import type { StepBuilder, Turn } from './stepBuilder.ts'

/**
 * By the clock: for each lap, for each station, work then rest. Between laps `lapRest`, where there is one,
 * stands in for the lap's last rest; the very last rest counts unless `lastRest` is false. A move done on each
 * side splits its slot at half, the odd second to the first side, or takes two slots. With `pick` a lap has that many
 * slots, whichever the child chooses.
 */
export function timeIntervals(block: IntervalsBlock, steps: StepBuilder): void {
  const laps = steps.valueFor(block.laps)
  const pick = block.pick && steps.valueFor(block.pick)
  const lapRest = block.lapRest && steps.valueFor(block.lapRest)
  const changes = block.stations.some((station) => steps.valueFor(station.cells).fromLap)
  const first = slotsOf(block, steps, 1)
  if (first.length === 0) return
  // What changes from lap to lap is looked up for each; all else once.
  const slots = laps.map((_, l) => (changes && l > 0 ? slotsOf(block, steps, l + 1) : first))

  laps.forEach((lap, l) => {
    const lastLap = l === laps.length - 1
    const here = slots[l]!.slice(0, pick ?? slots[l]!.length)
    here.forEach((slot, s) => {
      if (s > 0) steps.travel(block.travel)
      if (pick && pick < slots[l]!.length) choose(steps, lap.work, l + 1, s + 1, pick)
      else work(steps, slot, lap, l + 1)
      if (s === here.length - 1 && !lastLap && block.betweenLaps) steps.measure(block.betweenLaps, 1)
      const lastOfLap = s === here.length - 1
      const next = lastOfLap ? slots[l + 1]?.[0] : here[s + 1]
      if (lastOfLap && lastLap && block.lastRest === false) return
      const seconds = lastOfLap && !lastLap && lapRest !== undefined ? lapRest : lap.rest
      steps.rest(seconds, next?.turn, l + 1)
    })
  })
}

const slotsOf = (block: IntervalsBlock, steps: StepBuilder, lap: number): Slot[] =>
  block.stations.flatMap((station): Slot[] => {
    const turn = steps.turn(station, lap)
    if (turn.what.sides !== 'each') return [{ turn }]
    if (block.sideSlots === 2)
      return [
        { turn, side: 'first' },
        { turn, side: 'second' },
      ]
    return [{ turn, split: true }]
  })

/** A slot in which the child does one of the stations it has chosen. */
function choose(steps: StepBuilder, seconds: number, lap: number, n: number, of: number): void {
  steps.tell('work', 'clock', clocked(seconds), { code: 'intervals.pick', params: { n, of } }, { lap })
}

interface Slot {
  turn: Turn
  /** The side this slot is for, where a move takes two. */
  side?: 'first' | 'second'
  /** Both sides in this one slot. */
  split?: boolean
}

function work(steps: StepBuilder, { turn, side, split }: Slot, { work }: Lap, lap: number): void {
  if (!split || work < 2) {
    steps.slot(turn, work, lap, side)
    return
  }
  steps.slot(turn, Math.ceil(work / 2), lap, 'first')
  steps.slot(turn, Math.floor(work / 2), lap, 'second')
}
