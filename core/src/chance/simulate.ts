import { libraryFor } from '../moves/carryMoves.ts'
import type { Library } from '../moves/library.ts'
import { cardValues } from '../timing/chance.ts'
import { defaultPace } from '../timing/pace.ts'
import { StepBuilder } from '../timing/stepBuilder.ts'
import type { Step } from '../timing/step.ts'
import { timeBlock } from '../timing/timeline.ts'
import { capOf } from '../workout/dose.ts'
import type { Block } from '../workout/forms/index.ts'
import type { Group } from '../workout/group.ts'
import type { Workout } from '../workout/schema.ts'
import { chanceModel, type ChanceModel } from './chanceModel.ts'
import { lognormalFactors } from './lognormal.ts'
import { seededRandom } from './seededRandom.ts'

/** How children differ: the spread of the logarithm, from child to child and from step to step of one child. Ours. */
export const childSpread = { child: 0.2, step: 0.15 }

export interface SimulateOptions {
  /** How many; 10 000 unless said. */
  children?: number
  seed?: number
  /** Seconds against grades 4–6; left out, the group's grades decide. */
  pace?: number
  spread?: { child: number; step: number }
  /** Share of the children that are through, 0 to 1. */
  onProgress?: (share: number) => void
}

/** One block as a child runs through it. */
interface Part {
  /** Seconds led by a clock. */
  fixed: number
  /** Typical seconds of each step a child ends, and where it is cut. */
  counted: Float64Array
  limits: Float64Array
  /** The block is over then, done or not. */
  cap: number
  chance?: ChanceModel
}

/**
 * When children finish: each with a factor of its own and another for every step it ends itself; draws as they fall.
 * The same seed gives the same children.
 *
 * @returns each child's seconds, in rising order
 * @throws {ProblemError} `unknown-move` or `unknown-version`
 * @example simulate(session by the clock only, …) // the same seconds for all
 */
export function simulate(
  workout: Workout,
  group: Group,
  library: Library,
  { children = 10_000, seed = 1, pace = defaultPace(group), spread = childSpread, onProgress }: SimulateOptions = {},
): Float64Array {
  const parts = partsOf(workout, group, library, pace)
  const random = seededRandom(seed)
  const factor = lognormalFactors(random)
  const ends = new Float64Array(children)
  const chunk = Math.max(1, Math.floor(children / 20))
  for (let child = 0; child < children; child++) {
    const own = factor(spread.child)
    const slower = () => own * factor(spread.step)
    let seconds = 0
    for (const { fixed, counted, limits, cap, chance } of parts) {
      let here = fixed
      if (chance) here += draw(chance, random, slower)
      for (let i = 0; i < counted.length; i++) here += Math.min(limits[i]!, counted[i]! * slower())
      seconds += Math.min(cap, here)
    }
    ends[child] = seconds
    if (child % chunk === chunk - 1) onProgress?.((child + 1) / children)
  }
  return ends.sort()
}

function partsOf(workout: Workout, group: Group, ours: Library, pace: number): Part[] {
  const library = libraryFor(workout, ours)
  const along = new StepBuilder(group, library, pace)
  return workout.sections.flatMap((section) =>
    section.blocks.map((block): Part => {
      const before = along.now
      // Without its cap, to see how far a child would get.
      const open = new StepBuilder(group, library, pace, along.carry)
      timeBlock(withoutCap(block), open)
      timeBlock(block, along)
      const took = along.now - before
      if (block.form === 'amrap') return { ...led(took), cap: took }
      if (block.form === 'chance' && block.stations.length) {
        if (block.stop.kind === 'seconds') return { ...led(took), cap: took }
        return { ...led(0), cap: Infinity, chance: chanceModel(block, group, workout, library, pace) }
      }
      const cap = block.form === 'rounds' && block.cap ? along.valueFor(block.cap) : Infinity
      const counted = open.steps.filter((s) => s.by === 'count')
      return {
        fixed: open.steps.filter((s) => s.by === 'clock').reduce((sum, s) => sum + s.seconds.typical, 0),
        counted: Float64Array.from(counted, (s) => s.seconds.typical),
        limits: Float64Array.from(counted, limitOf),
        cap,
      }
    }),
  )
}

const led = (seconds: number) => ({ fixed: seconds, counted: new Float64Array(), limits: new Float64Array() })

const withoutCap = (block: Block): Block => (block.form === 'rounds' ? { ...block, cap: undefined } : block)

/** "As long as you can" ends at its cap. */
const limitOf = (step: Step): number =>
  step.say.params.amount !== undefined && capOf(step.say.params.amount) !== undefined ? step.seconds.high : Infinity

/** Seconds of one child's draws and tasks. */
function draw(model: ChanceModel, random: () => number, slower: () => number): number {
  const { device, faces, stop, draw: each, changes } = model
  const pick = (n: number) => Math.floor(random() * n)
  const called = faces.map(() => 0)
  /** The next row of a face, in turn, done with a number that was drawn. */
  const task = (face: number, number: number): number => {
    const { rows } = faces[face]!
    const row = rows[called[face]!++ % rows.length]
    return row ? (row.tasks[number] ?? row.tasks[0]!) * slower() : 0
  }
  let seconds = changes * slower()
  if (stop.kind === 'cleared') {
    const left = faces.map((f) => f.rows.length)
    while (left.some((n) => n > 0)) {
      const face = pick(faces.length)
      seconds += each
      if (left[face]! <= 0) continue
      left[face]!--
      seconds += task(face, pick(faces[face]!.rows[0]!.tasks.length))
    }
    return seconds
  }
  const draws = stop.kind === 'draws' ? stop.draws : 0
  let deck: number[] = []
  for (let n = 0; n < draws; n++) {
    seconds += each
    if (device === 'toss') {
      let left = 0
      for (let thing = 0; thing < 5; thing++) left += pick(2)
      seconds += ((faces[0]?.rows[0]?.tasks[left] ?? 0) + (faces[1]?.rows[0]?.tasks[5 - left] ?? 0)) * slower()
    } else if (device === 'cards') {
      if (deck.length === 0) deck = Array.from({ length: cardValues.length * faces.length }, (_, card) => card)
      const at = pick(deck.length)
      const card = deck[at]!
      deck[at] = deck.at(-1)!
      deck.pop()
      const face = Math.floor(card / cardValues.length)
      // A suit of several rows is the child's choice.
      called[face] = pick(Math.max(1, faces[face]!.rows.length))
      seconds += task(face, card % cardValues.length)
    } else seconds += task(pick(faces.length), 0)
  }
  return seconds
}
