import type { Library } from '../library/library.ts'
import { performedBy, type Performed } from '../library/versionFor.ts'
import { typicalAmount, type Dose } from '../terms/dose.ts'
import type { Travel } from '../session/blockParts.ts'
import type { TestId } from '../terms/measure.ts'
import type { Group } from '../terms/group.ts'
import { valueFor, type PerGroup } from '../terms/perGroup.ts'
import { cellAt, type Cell, type Station } from '../session/station.ts'
import { lastingTogether } from './apportion.ts'
import { endAtCap } from './cap.ts'
import { startCarry, type Carry } from './carry.ts'
import { changeSeconds, changeSpan, stanceFor, standUpSeconds, type Stance } from './changeOver.ts'
import { countedWork, doseTaken, isByClock, type Counting } from './countedWork.ts'
import { defaultOf } from './defaults.ts'
import type { Fraction } from './exact.ts'
import { measureSeconds } from './measureSeconds.ts'
import { breathSeconds } from './pace.ts'
import { clocked, roundHalfUp, type Span } from './span.ts'
import type { Say, SayCode, Step, StepKind } from './step.ts'

/** A station as one group does it. */
export interface Turn {
  station: Station
  cell: Cell
  what: Performed
  stance: Stance
  /** What is said about it, made once for all laps. */
  says: Partial<Record<string, Say>>
}

/** Thrown when a lane would get more steps than it may have. */
export class LaneFull extends Error {}

/** Which lap and which set a step belongs to, from 1. */
export interface Where {
  lap?: number
  set?: number
}

/**
 * Puts one group's steps of a block end to end and carries state from step to step: the clock, the child's posture, the things in the
 * hands, the unused part of the last rest. Every form's timing file writes through it, so that none can leave a gap. The clock starts at 0.
 */
export class StepBuilder {
  /** Missing fields are stored as undefined: steps of the same shape are several times faster to create and read. */
  readonly steps: Step[] = []
  /** The maximum number of steps. */
  readonly #most: number
  readonly group: Group
  readonly pace: number
  #library: Library
  #breath: number
  /** The state before each step of a block whose cap may fall inside a step. */
  #before: Carry[] | undefined
  #at = 0
  #fade: readonly Fraction[] = []
  #section = ''
  #block = ''
  #stance: Stance
  #rested: number
  #askedBefore: ReadonlySet<string>
  #asked: Set<string> | undefined

  /**
   * @param carry the state to start from; by default the start of the session
   * @param most maximum number of steps: one more throws {@link LaneFull}
   */
  constructor(group: Group, library: Library, pace: number, carry: Carry = startCarry, most = Infinity) {
    this.#most = most
    this.group = group
    this.pace = pace
    this.#library = library
    this.#breath = breathSeconds(group)
    this.#stance = carry.stance
    this.#rested = carry.rested
    this.#askedBefore = carry.asked
  }

  /** The state the next block starts from. */
  get carry(): Carry {
    return { stance: this.#stance, rested: this.#rested, asked: this.#asked ?? this.#askedBefore }
  }

  /** Sums asked before, to which new ones are added: none is repeated in a session. */
  get sumsAsked(): Set<string> {
    return (this.#asked ??= new Set(this.#askedBefore))
  }

  /** Sets the block of the following steps. */
  enter(section: string, block: string): void {
    this.#section = section
    this.#block = block
  }

  valueFor<T>(value: PerGroup<T>): T {
    return valueFor(value, this.group.id)
  }

  /** @param lap from 1 @throws {ProblemError} `unknown-move` or `unknown-version` */
  turn(station: Station, lap = 1): Turn {
    const cell = cellAt(this.valueFor(station.cells), lap)
    const what = performedBy(cell, this.#library)
    return { station, cell, what, stance: stanceFor(what, cell.load !== undefined, this.#library), says: {} }
  }

  #add(step: Step): void {
    if (this.steps.length >= this.#most) throw new LaneFull()
    this.#before?.push(this.carry)
    this.steps.push(step)
    this.#at += step.seconds.typical
  }

  #counting(turn: Turn): Counting {
    return {
      version: turn.what.version,
      tempo: turn.cell.tempo,
      pace: this.pace,
      breath: this.#breath,
      fade: this.#fade,
    }
  }

  #sayOf(turn: Turn, code: SayCode, side?: 'first' | 'second', dose?: Dose): Say {
    // A ladder's dose differs on every rung.
    const key =
      side || dose ? `${code}-${side ?? ''}-${dose && dose !== turn.cell.dose ? JSON.stringify(dose) : ''}` : code
    const there = turn.says[key]
    if (there) return there
    const { station, cell } = turn
    const params: Say['params'] = { move: cell.move, version: cell.version }
    if (station.storyName) params.story = station.storyName
    if (cell.oneOf) params.oneOf = cell.oneOf
    if (side) params.side = side
    if (dose) {
      params.amount = dose.amount
      params.unit = dose.unit
    }
    return (turn.says[key] = { code, params })
  }

  talk(seconds: number, title: string | undefined): void {
    if (seconds > 0) {
      this.#add({
        at: this.#at,
        seconds: clocked(seconds),
        kind: 'talk',
        by: 'clock',
        section: this.#section,
        block: this.#block,
        say: { code: 'talk', params: title ? { title } : {} },
      })
      this.#rested += seconds
    }
  }

  /** A timed rest. @param next what it announces: a turn, or that the child chooses @param lap the lap it belongs to */
  rest(seconds: number, next: Turn | Say | undefined, lap?: number): void {
    if (seconds <= 0) return
    this.#add({
      at: this.#at,
      seconds: clocked(seconds),
      kind: 'rest',
      by: 'clock',
      section: this.#section,
      block: this.#block,
      say: !next ? plainRest : 'code' in next ? next : this.#sayOf(next, 'restNext'),
      lap,
    })
    this.#rested += seconds
  }

  /** A rest as long as another child's work, which that child ends; like any rest it can be used to get into position. */
  wait(seconds: Span, say: Say, where: Where & { station?: string } = {}): void {
    if (seconds.high <= 0) return
    const { section, block } = { section: this.#section, block: this.#block }
    this.#add({ at: this.#at, seconds, kind: 'rest', by: 'count', section, block, ...where, say })
    this.#rested += seconds.typical
  }

  /** A step of one child's turn. */
  #turnStep(turn: Turn, kind: StepKind, by: Step['by'], seconds: Span, say: Say): Step {
    return {
      at: this.#at,
      seconds,
      kind,
      by,
      section: this.#section,
      block: this.#block,
      station: turn.station.id,
      move: turn.cell.move,
      version: turn.cell.version,
      ...(kind === 'work' && turn.cell.tempo && turn.cell.tempo !== 'led' && { tempo: turn.cell.tempo }),
      say,
    }
  }

  /** Timed work. The change-over has to fit into the rest before it; a check reports if it does not. */
  slot(turn: Turn, seconds: number, lap?: number, side?: 'first' | 'second'): void {
    const { station, cell } = turn
    this.#add({
      at: this.#at,
      seconds: clocked(seconds),
      kind: 'work',
      by: 'clock',
      section: this.#section,
      block: this.#block,
      station: station.id,
      move: cell.move,
      version: cell.version,
      say: this.#sayOf(turn, side ? 'workSide' : 'work', side),
      lap,
      side,
      tempo: cell.tempo === 'led' ? undefined : cell.tempo,
    })
    this.#settle(turn)
  }

  /** A slot for both sides if the exercise has two: halves, with the odd second on the first. */
  splitSlot(turn: Turn, seconds: number, lap?: number): void {
    if (turn.what.sides !== 'each' || seconds < 2) return this.slot(turn, seconds, lap)
    this.slot(turn, Math.ceil(seconds / 2), lap, 'first')
    this.slot(turn, Math.floor(seconds / 2), lap, 'second')
  }

  /** Anything but an exercise: a flip, a question, a measurement, the way to the next station. */
  tell(kind: StepKind, by: Step['by'], seconds: Span, say: Say, where: Where & { station?: string } = {}): void {
    if (seconds.high <= 0) return
    const { section, block } = { section: this.#section, block: this.#block }
    this.#add({ at: this.#at, seconds, kind, by, section, block, ...where, say })
    this.#rested = 0
  }

  /**
   * The way to the next station, timed. A child on the floor stands up for it and gets down again; with a clock that has to fit into the
   * rest. Things stay in the hands.
   */
  travel(travel: Travel | undefined, byClock = false): void {
    if (!travel) return
    if (!byClock) this.#standUp()
    const say: Say = { code: 'travel', params: { text: travel.how } }
    this.tell('work', 'clock', clocked(this.valueFor(travel.seconds)), say)
  }

  #standUp(): void {
    if (this.#stance.posture === 'standing') return
    this.#change(standUpSeconds(this.#stance), (seconds) => ({
      at: this.#at,
      seconds,
      kind: 'change',
      by: 'count',
      section: this.#section,
      block: this.#block,
      say: standUp,
    }))
    this.#stance = { ...this.#stance, posture: 'standing' }
    this.#rested = 0
  }

  /** A measurement with a number of trials, set up first if needed. */
  measure(test: TestId, trials: number, moment?: string): void {
    const seconds = measureSeconds(this.#library.measures.get(test)!, trials)
    this.tell('measure', 'clock', clocked(seconds), { code: 'measure', params: { test, n: trials, title: moment } })
  }

  /** Counted work and change-overs added by `run` are multiplied by some factors; timed seconds stay. */
  slower(factors: readonly Fraction[], run: () => void): void {
    const before = this.#fade
    this.#fade = factors
    run()
    this.#fade = before
  }

  /**
   * Whatever `run` adds ends with the cap for three complete children: quick, usual and slow, each stopped by it. The usual child's step
   * that reaches the cap is cut, later ones are left out, and their effects do not happen.
   *
   * @param goesOn whether a quick child goes on until the cap: what `run` adds is only what a usual child does
   */
  capped(cap: number | undefined, run: () => void, goesOn = false): void {
    if (cap === undefined) return run()
    const first = this.steps.length
    const carries: Carry[] = (this.#before = [])
    run()
    this.#before = undefined
    const all = this.steps.slice(first)
    const { steps, met } = endAtCap(all, cap, goesOn)
    this.#replaceFrom(first, steps)
    if (met !== undefined) this.#standAfterCut(all[met]!, steps[met]!, carries[met]!, carries[met + 1])
  }

  /** The state at a cut step. @param before the state at its start @param after the state at its end; by default, now */
  #standAfterCut(whole: Step, cut: Step, before: Carry, after?: Carry): void {
    const left = cut.seconds.typical
    if (left === whole.seconds.typical) {
      if (after) this.#stand(after.stance, after.rested)
      return
    }
    // A cut rest counts for its elapsed part.
    this.#stand(before.stance, whole.kind === 'rest' || whole.kind === 'talk' ? before.rested + left : 0)
  }

  #stand(stance: Stance, rested: number): void {
    this.#stance = stance
    this.#rested = rested
  }

  #replaceFrom(first: number, steps: readonly Step[]): void {
    this.steps.splice(first, Infinity, ...steps)
    const last = this.steps.at(-1)
    this.#at = last ? last.at + last.seconds.typical : 0
  }

  /**
   * Gives the steps from an index on a total duration, each in proportion: chance determines only their sum. None of them is timed by a
   * clock then.
   */
  lastAltogether(first: number, span: Span): void {
    this.#replaceFrom(first, lastingTogether(this.steps.slice(first), span))
  }

  /** Seconds from the start of the block to here. */
  get now(): number {
    return this.#at
  }

  /** Counted work with its change-over, on both sides if the exercise has two. */
  dose(turn: Turn, asked: Dose, where: Where = {}): void {
    const dose = doseTaken(asked, turn.what.move)
    this.#changeTo(turn)
    const seconds = countedWork(dose, this.#counting(turn))
    const work = (side?: 'first' | 'second') => {
      const say = this.#sayOf(turn, side ? 'workSide' : 'work', side, dose)
      const step = this.#turnStep(turn, 'work', isByClock(dose) ? 'clock' : 'count', seconds, say)
      if (dose.unit === 'reps') step.reps = roundHalfUp(typicalAmount(dose.amount))
      if (side) step.side = side
      this.#add(Object.assign(step, where))
    }
    if (turn.what.sides === 'each') {
      work('first')
      this.#add(
        this.#turnStep(turn, 'switch', 'clock', clocked(defaultOf('switchSide')), this.#sayOf(turn, 'switchSide')),
      )
      work('second')
    } else work()
    this.#settle(turn)
  }

  #settle(turn: Turn): void {
    this.#stand(turn.stance, 0)
  }

  #changeTo(turn: Turn): void {
    this.#change(changeSeconds(this.#stance, turn.stance), (seconds) =>
      this.#turnStep(turn, 'change', 'count', seconds, this.#sayOf(turn, 'changeTo')),
    )
    this.#settle(turn)
  }

  /** Getting into position: the part that the rest before it did not cover. */
  #change(seconds: number, step: (seconds: Span) => Step): void {
    if (seconds === 0) return
    const span = changeSpan(seconds, this.pace, this.#rested, this.#fade)
    if (span.typical > 0) this.#add(step(span))
  }
}

const plainRest: Say = Object.freeze({ code: 'rest', params: {} })
const standUp: Say = Object.freeze({ code: 'standUp', params: {} })
