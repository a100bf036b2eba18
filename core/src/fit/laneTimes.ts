import { traitsOf } from '../session/formTraits.ts'
import { blockBounds, clockBounds, type BoundUse } from '../bounds/blockBounds.ts'
import type { Library } from '../library/library.ts'
import { performedBy } from '../library/versionFor.ts'
import { changeSeconds, heldThings, startStance } from '../timing/changeOver.ts'
import { defaultPace } from '../timing/pace.ts'
import { carryKey, noneAsked, startCarry, type Carry } from '../timing/carry.ts'
import { StepBuilder } from '../timing/stepBuilder.ts'
import type { Step } from '../timing/step.ts'
import { timeBlock } from '../timing/formTimes.ts'
import { stationsOf, type Block } from '../session/forms.ts'
import type { Group } from '../terms/group.ts'
import type { Session } from '../session/schema.ts'
import { fillBounds } from './fillBounds.ts'
import type { Passage } from './fitProblem.ts'
import { leversOf } from './levers.ts'
import { turnedFor, variantsOf, withoutStations, type Setting, type Variant } from './settings.ts'

/** The first part of a warm-up is never cut. In seconds; common practice (see the checks of shape). */
export const warmUpKept = 180

/** A block unchanged: this group's time, and how close it is to the grade's limits. */
interface Base {
  block: Block
  seconds: number
  lines: BoundUse[]
  fill: [value: number, most: number][]
  /** The seconds of a warm-up's first minutes in it, and the steps then: they stay unchanged. */
  kept: number
  keptSteps: readonly Step[]
}

/** A setting of this lane, and its seconds from each state it was asked for. */
interface Known {
  block: Block
  ways: { seconds: number; exit: number }[]
}

/** The state in which a lane arrives at a block: only differences that matter are kept. */
interface Boundary {
  carries: Carry[]
  byCarry: Map<string, number>
  byWay: Map<string, number>
}

/**
 * One group's way through the blocks: how long each setting takes, from every state the lane may enter it in. Each timing is computed once
 * per fit.
 */
export class LaneTimes {
  readonly #group: Group
  readonly #library: Library
  readonly #pace: number
  /** Rest beyond this makes no difference: no change-over takes longer. */
  readonly #mostRested: number
  readonly #bases: Base[] = []
  readonly #known: Map<string, Known | undefined>[] = []
  readonly #boundaries: Boundary[]
  readonly #spare: Partial<Record<BoundUse['line'], number>> = {}

  /**
   * @param library including the session's own exercises
   * @param mayChange which sections may change
   */
  constructor(
    session: Session,
    group: Group,
    library: Library,
    mayChange: (section: Session['sections'][number]) => boolean,
  ) {
    this.#group = group
    this.#library = library
    this.#pace = defaultPace(group)
    this.#mostRested = Math.ceil(longestChange(session, library) * this.#pace)
    // Earlier sums are left out: they hardly matter, and would make a state of every choice.
    let carry = startCarry
    let warm = 0
    const changing: Base[] = []
    for (const section of session.sections) {
      for (const block of section.blocks) {
        const steps = this.#steps(block, carry)
        const seconds = steps.now
        const kept = section.role === 'warmUp' ? Math.max(0, warmUpKept - warm) : 0
        if (section.role === 'warmUp') warm += seconds
        const keptSteps = this.#steps(block, startCarry).steps.filter((s) => s.at < kept)
        const lines = this.#lines(block, steps.steps)
        const base = { block, seconds, lines, fill: fillBounds(block, group), kept, keptSteps }
        this.#bases.push(base)
        this.#known.push(new Map())
        if (mayChange(section)) changing.push(base)
        carry = { ...steps.carry, asked: noneAsked }
      }
    }
    this.#boundaries = Array.from({ length: this.#bases.length + 1 }, () => ({
      carries: [],
      byCarry: new Map<string, number>(),
      byWay: new Map<string, number>(),
    }))
    this.#enter(0, startCarry)
    // The landing limit is for the whole session. What is left of it is divided evenly among the blocks that may grow, so that together
    // they cannot exceed it.
    for (const line of ['landings', 'hardLandings'] as const) {
      const landing = this.#bases.flatMap((base) => base.lines.filter((u) => u.line === line))
      const used = landing.reduce((sum, u) => sum + u.value, 0)
      const shares = changing.filter((base) => base.lines.some((u) => u.line === line)).length
      this.#spare[line] = shares ? Math.max(0, landing[0]!.most - used) / shares : 0
    }
  }

  /** Seconds of an unchanged block, and of all of them. */
  seconds(k: number): number {
    return this.#bases[k]!.seconds
  }
  get total(): number {
    return this.#bases.reduce((sum, { seconds }) => sum + seconds, 0)
  }

  /** Seconds of one lap, round, set or rung for this lane; 0 if the block has none. */
  lapSeconds(k: number): number {
    const { block } = this.#bases[k]!
    const lever = leversOf(block).find(({ kind }) => kind === 'laps')
    const other = lever && (lever.turn(block, [this.#group.id], -1) ?? lever.turn(block, [this.#group.id], 1))
    return other ? Math.abs(this.#steps(block, startCarry).now - this.#steps(other, startCarry).now) : 0
  }

  /** Number of states so far; every lane starts in state 0. */
  get states(): number {
    return Math.max(1, ...this.#boundaries.map((b) => b.carries.length))
  }

  /**
   * What a setting does to this lane; undefined if it is not allowed: beyond a lever's end or a grade's limit, or inside a warm-up's first
   * minutes.
   *
   * @param k which block
   * @param entries the states the lane may enter with
   */
  passage(k: number, variant: Variant, setting: Setting, entries: ReadonlySet<number>): Passage | undefined {
    const key = `${variant.out.join()}|${setting.steps.join()}`
    const cache = this.#known[k]!
    if (!cache.has(key)) cache.set(key, this.#allowed(this.#bases[k]!, variant, setting))
    const known = cache.get(key)
    if (!known) return undefined
    const passage: { seconds: number; exit: number }[] = []
    for (const entry of entries) {
      known.ways[entry] ??= this.#way(k, known.block, entry)
      passage[entry] = known.ways[entry]
    }
    return passage
  }

  #allowed(base: Base, variant: Variant, setting: Setting): Known | undefined {
    const block = turnedFor(withoutStations(base.block, variant.out), [this.#group.id], setting)
    if (!block) return undefined
    const known = { block, ways: [] }
    if (variant.out.length === 0 && setting.cost === 0) return known
    // A block entirely within the kept minutes stays unchanged.
    if (base.kept > 0 && base.seconds <= base.kept) return undefined
    const begins = base.kept > 0 ? this.#steps(block, startCarry).steps : []
    if (!base.keptSteps.every((step, i) => isSame(step, begins[i]))) return undefined
    const longer = setting.steps.some((n) => n > 0)
    if (longer && !fillBounds(block, this.#group).every(([n, most], i) => n <= Math.max(most, base.fill[i]![0])))
      return undefined
    return this.#withinLines(base, block, longer) ? known : undefined
  }

  #withinLines(base: Base, block: Block, longer: boolean): boolean {
    // Shortening can only break the limit of a rest.
    const lines = longer
      ? this.#lines(block, this.#steps(block, startCarry).steps)
      : clockBounds(block, this.#group, base.seconds, this.#library, this.#pace)
    return lines.every(({ line, value, most }) => {
      const now = base.lines.find((u) => u.line === line)?.value ?? 0
      const spare = this.#spare[line]
      return value <= now || (spare === undefined ? value <= most : value <= now + spare)
    })
  }

  #way(k: number, block: Block, entry: number): { seconds: number; exit: number } {
    const steps = this.#steps(block, this.#boundaries[k]!.carries[entry]!)
    return { seconds: steps.now, exit: this.#enter(k + 1, steps.carry) }
  }

  #steps(block: Block, carry: Carry): StepBuilder {
    const steps = new StepBuilder(this.#group, this.#library, this.#pace, carry)
    timeBlock(block, steps)
    return steps
  }

  #lines(block: Block, steps: readonly Step[]): BoundUse[] {
    return blockBounds(block, this.#group, steps, this.#library, this.#pace)
  }

  /** The state in which a lane with this carry arrives at block k. After the last block it doesn't matter. */
  #enter(k: number, { stance, rested }: Carry): number {
    const { carries, byCarry, byWay } = this.#boundaries[k]!
    const carry = { stance, rested: Math.min(rested, this.#mostRested), asked: noneAsked }
    const key = carryKey(carry)
    let id = byCarry.get(key)
    if (id !== undefined) return id
    // Two settings with the same steps and the same remainder are one, whichever stations are left out: a carried-in rest is spent on the
    // first change-over, and no lever changes that.
    const way = k < this.#bases.length ? this.#wayKey(this.#bases[k]!.block, carry) : ''
    id = byWay.get(way) ?? carries.push(carry) - 1
    byWay.set(way, id)
    byCarry.set(key, id)
    return id
  }

  #wayKey(block: Block, carry: Carry): string {
    // Talk covers change-overs as rest does; how much depends on its length.
    if (traitsOf(block).explains) return carryKey(carry)
    return variantsOf(block, Infinity, new Set())
      .map(({ out }) => {
        const steps = this.#steps(withoutStations(block, out), carry)
        return `${steps.steps.map((s) => s.seconds.typical).join()}>${carryKey(steps.carry)}`
      })
      .join('|')
  }
}

/** Whether a step of a warm-up is unchanged. */
const isSame = (a: Step, b: Step | undefined) =>
  b?.kind === a.kind && b.station === a.station && b.seconds.typical === a.seconds.typical

/** Seconds, before pace, that no change-over exceeds: down to the floor, everything put down and picked up. */
function longestChange(session: Session, library: Library): number {
  const cells = session.sections
    .flatMap((s) => s.blocks)
    .flatMap((b) => stationsOf(b))
    .flatMap((st) => [st.cells.all, ...Object.values(st.cells.by ?? {})])
    .flatMap((cell) => [cell, ...(cell.fromLap ?? []).map((c) => ({ ...cell, version: c.version ?? cell.version }))])
  const held = cells.map((cell) => heldThings(performedBy(cell, library), true, library).length)
  const things = Array.from({ length: 2 * Math.max(1, ...held) }, (_, i) => `thing ${i}`)
  return changeSeconds(startStance, { posture: 'lyingBack', held: things, begun: true })
}
