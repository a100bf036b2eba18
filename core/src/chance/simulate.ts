import { isChance } from '../forms/chance/schema.ts'
import { stationsOf } from '../session/forms.ts'
import { traitsOf } from '../session/formTraits.ts'
import { libraryFor } from '../library/carryMoves.ts'
import type { Library } from '../library/library.ts'
import { defaultPace } from '../timing/pace.ts'
import { StepBuilder } from '../timing/stepBuilder.ts'
import type { Step } from '../timing/step.ts'
import { timeBlock } from '../timing/formTimes.ts'
import { capOf } from '../terms/dose.ts'
import type { Group } from '../terms/group.ts'
import type { Session } from '../session/schema.ts'
import { chanceModel, type ChanceModel } from '../forms/chance/model.ts'
import { lognormalFactors } from '../distribution/lognormal.ts'
import { playGame } from '../forms/chance/playGame.ts'
import { seededRandom } from '../distribution/seededRandom.ts'

/** How children differ: the standard deviation of the logarithm, between children and between the steps of one child. Ours. */
export const childSpread = { child: 0.2, step: 0.15 }

export interface SimulateOptions {
  /** How many; 10 000 by default. */
  children?: number
  seed?: number
  /** Seconds compared with grades 4–6; by default the group's grades decide. */
  pace?: number
  spread?: { child: number; step: number }
  /** Share of the children simulated so far, 0 to 1. */
  onProgress?: (share: number) => void
}

/** One block as a child runs through it. */
interface Part {
  /** Seconds led by a clock. */
  fixed: number
  /** Typical seconds of each self-paced step, and where it is cut. */
  counted: Float64Array
  limits: Float64Array
  /** The block ends then, done or not. */
  cap: number
  chance?: ChanceModel
}

/**
 * Simulates when children finish: each has a factor of its own and another for every self-paced step; draws are random. The same seed gives
 * the same children.
 *
 * @returns each child's seconds, in rising order
 * @throws {ProblemError} `unknown-move` or `unknown-version`
 * @example simulate(session by the clock only, …) // the same seconds for all
 */
export function simulate(
  session: Session,
  group: Group,
  library: Library,
  { children = 10_000, seed = 1, pace = defaultPace(group), spread = childSpread, onProgress }: SimulateOptions = {},
): Float64Array {
  const parts = partsOf(session, group, library, pace)
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
      if (chance) here += playGame(chance, random, { slower }).seconds
      for (let i = 0; i < counted.length; i++) here += Math.min(limits[i]!, counted[i]! * slower())
      seconds += Math.min(cap, here)
    }
    ends[child] = seconds
    if (child % chunk === chunk - 1) onProgress?.((child + 1) / children)
  }
  return ends.sort()
}

function partsOf(session: Session, group: Group, ours: Library, pace: number): Part[] {
  const library = libraryFor(session, ours)
  const along = new StepBuilder(group, library, pace)
  return session.sections.flatMap((section) =>
    section.blocks.map((block): Part => {
      const before = along.now
      const chance = isChance(block) ? chanceModel(block, along) : undefined
      // Without its cap, to see how far a child would get.
      const open = new StepBuilder(group, library, pace, along.carry)
      timeBlock(traitsOf(block).withoutCap?.(block) ?? block, open)
      timeBlock(block, along)
      const took = along.now - before
      const traits = traitsOf(block)
      if (traits.timed?.(block)) return { ...led(took), cap: took }
      if (chance && stationsOf(block).length) return { ...led(0), cap: Infinity, chance }
      const cap = traits.cap?.(block, group.id) ?? Infinity
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

/** "As long as you can" ends at its cap. */
const limitOf = (step: Step): number =>
  step.say.params.amount !== undefined && capOf(step.say.params.amount) !== undefined ? step.seconds.high : Infinity
