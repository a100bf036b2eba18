import type { IntervalsBlock, Lap } from './schema.ts'
import { clocked } from '../../timing/span.ts'
import type { Say } from '../../timing/step.ts'
import type { StepBuilder, Turn } from '../../timing/stepBuilder.ts'

/**
 * Times a timed circuit: for each lap and each station, work then rest. Between laps, `lapRest` replaces the lap's last rest if there is
 * one; the very last rest counts unless `lastRest` is false. An exercise done on each side splits its slot in half, with the odd second on
 * the first side, or takes two slots. If `pick` is less than the number of stations, a lap has that many slots, whichever the child
 * chooses.
 */
export function timeIntervals(block: IntervalsBlock, steps: StepBuilder): void {
  const laps = steps.valueFor(block.laps)
  const picked = block.pick && steps.valueFor(block.pick)
  const pick = picked && picked < block.stations.length ? picked : undefined
  const lapRest = block.lapRest && steps.valueFor(block.lapRest)
  const changes = block.stations.some((station) => steps.valueFor(station.cells).fromLap)
  const first = slotsOf(block, steps, 1)
  if (first.length === 0) return
  // Whatever changes from lap to lap is looked up for each; the rest once.
  const slots = laps.map((_, l) => (changes && l > 0 ? slotsOf(block, steps, l + 1) : first))

  laps.forEach((lap, l) => {
    const lastLap = l === laps.length - 1
    const here = slots[l]!.slice(0, pick ?? slots[l]!.length)
    here.forEach((slot, s) => {
      // The second side is done in the same place as the first.
      if (s > 0 && (pick || slot.side !== 'second')) steps.travel(block.travel, true)
      if (pick) choose(steps, lap.work, l + 1, s + 1, pick)
      else work(steps, slot, lap, l + 1)
      if (s === here.length - 1 && !lastLap && block.betweenLaps) steps.measure(block.betweenLaps, 1)
      const lastOfLap = s === here.length - 1
      const next = lastOfLap ? slots[l + 1]?.[0] : here[s + 1]
      if (lastOfLap && lastLap && block.lastRest === false) return
      const seconds = lastOfLap && !lastLap && lapRest !== undefined ? lapRest : lap.rest
      const place = lastOfLap ? 1 : s + 2
      steps.rest(seconds, next && (pick ? choice('intervals.pickNext', place, pick) : next.turn), l + 1)
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
function choose(steps: StepBuilder, seconds: number, lap: number, n: number, stations: number): void {
  steps.tell('work', 'clock', clocked(seconds), choice('intervals.pick', n, stations), { lap })
}

const choice = (code: 'intervals.pick' | 'intervals.pickNext', n: number, stations: number): Say => ({
  code,
  params: { n, of: stations },
})

interface Slot {
  turn: Turn
  /** The side of this slot, if an exercise takes two. */
  side?: 'first' | 'second'
  /** Both sides in this one slot. */
  split?: boolean
}

function work(steps: StepBuilder, { turn, side, split }: Slot, { work }: Lap, lap: number): void {
  if (split) steps.splitSlot(turn, work, lap)
  else steps.slot(turn, work, lap, side)
}
