import type { Library } from '../moves/library.ts'
import { performedBy, type Performed } from '../moves/versionFor.ts'
import { typicalAmount, type Dose } from '../workout/dose.ts'
import type { TestId, Travel } from '../workout/forms/common.ts'
import type { Group } from '../workout/group.ts'
import { valueFor, type PerGroup } from '../workout/perGroup.ts'
import { cellAt, type Cell, type Station } from '../workout/station.ts'
import { changeSeconds, stanceFor, startStance, type Stance } from './changeOver.ts'
import { countedWork, isByClock, type Counting } from './countedWork.ts'
import { defaultOf } from './defaults.ts'
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
  /** What is said of it, made once however many laps it comes up in. */
  says: Partial<Record<string, Say>>
}

/** What one block leaves to the next: how the child stands, and how much of the last rest is still unused. */
export interface Carry {
  stance: Stance
  /** Seconds of the rest just taken, which getting into place may use up. */
  rested: number
}

/** A session starts standing, nothing rested. */
export const startCarry: Carry = { stance: startStance, rested: 0 }

/** Which lap and which set a step belongs to, from 1. */
export interface Where {
  lap?: number
  set?: number
}

/**
 * Puts one group's steps end to end, and keeps what carries over from block to block: where the clock is, how
 * the child stands, what is in the hands, how much of the rest just taken is still unused. Every form's timing
 * file writes through it, so that none can leave a gap.
 */
export class StepBuilder {
  readonly steps: Step[] = []
  readonly group: Group
  readonly pace: number
  #library: Library
  #breath: number
  #at = 0
  #factor = 1
  #section = ''
  #block = ''
  #stance: Stance
  #rested: number

  /** @param carry what came before; left out, the session begins */
  constructor(group: Group, library: Library, pace: number, { stance, rested }: Carry = startCarry) {
    this.group = group
    this.pace = pace
    this.#library = library
    this.#breath = breathSeconds(group)
    this.#stance = stance
    this.#rested = rested
  }

  /** What the next block starts from. */
  get carry(): Carry {
    return { stance: this.#stance, rested: this.#rested }
  }

  /** Says which block the next steps belong to. */
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
    this.steps.push(step)
    this.#at += step.seconds.typical
  }

  #counting(turn: Turn): Counting {
    return {
      version: turn.what.version,
      tempo: turn.cell.tempo,
      pace: this.pace * this.#factor,
      breath: this.#breath * this.#factor,
    }
  }

  #sayOf(turn: Turn, code: SayCode, side?: 'first' | 'second', dose?: Dose): Say {
    // A ladder's dose is another on every rung.
    const key =
      side || dose ? `${code}-${side ?? ''}-${dose && dose !== turn.cell.dose ? JSON.stringify(dose) : ''}` : code
    return (turn.says[key] ??= {
      code,
      params: {
        move: turn.cell.move,
        version: turn.cell.version,
        ...(turn.station.storyName && { story: turn.station.storyName }),
        ...(turn.cell.oneOf && { oneOf: turn.cell.oneOf }),
        ...(side && { side }),
        ...(dose && { amount: dose.amount, unit: dose.unit }),
      },
    })
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
    }
    this.#rested = 0
  }

  /** A rest on the clock. @param next what it announces @param lap the lap it belongs to */
  rest(seconds: number, next: Turn | undefined, lap?: number): void {
    if (seconds <= 0) return
    const step: Step = {
      at: this.#at,
      seconds: clocked(seconds),
      kind: 'rest',
      by: 'clock',
      section: this.#section,
      block: this.#block,
      say: next ? this.#sayOf(next, 'restNext') : plainRest,
    }
    if (lap !== undefined) step.lap = lap
    this.#add(step)
    this.#rested += seconds
  }

  /** A step that is a turn's. */
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
      say,
    }
  }

  /** Work on the clock. The change-over has to fit in the rest before it; that it does is for a check to see. */
  slot(turn: Turn, seconds: number, lap: number, side?: 'first' | 'second'): void {
    const step = this.#turnStep(
      turn,
      'work',
      'clock',
      clocked(seconds),
      this.#sayOf(turn, side ? 'workSide' : 'work', side),
    )
    step.lap = lap
    if (side) step.side = side
    this.#add(step)
    this.#settle(turn)
  }

  /** Something that is no move: a flip, a question, a measurement, the way to the next station. */
  tell(kind: StepKind, by: Step['by'], seconds: Span, say: Say, where: Where & { station?: string } = {}): void {
    if (seconds.high <= 0) return
    const { section, block } = { section: this.#section, block: this.#block }
    this.#add({ at: this.#at, seconds, kind, by, section, block, ...where, say })
    this.#rested = 0
  }

  /** The way to the next station, on the clock. */
  travel(travel: Travel | undefined): void {
    if (!travel) return
    const say: Say = { code: 'travel', params: { text: travel.how } }
    this.tell('work', 'clock', clocked(this.valueFor(travel.seconds)), say)
  }

  /** A measurement of so many trials, set up first where it needs that. */
  measure(test: TestId, trials: number, moment?: string): void {
    const seconds = measureSeconds(test, trials)
    this.tell('measure', 'clock', clocked(seconds), { code: 'measure', params: { test, n: trials, title: moment } })
  }

  /** Everything done in `run` takes so many times as long, where it is not led by a clock. */
  slower(factor: number, run: () => void): void {
    const before = this.#factor
    this.#factor = factor
    run()
    this.#factor = before
  }

  /** Whatever `run` adds ends with the cap: the step that meets it is cut, and what comes after left out. */
  capped(cap: number | undefined, run: () => void): void {
    const start = this.#at
    const first = this.steps.length
    run()
    if (cap === undefined) return
    let kept = this.steps.length
    for (let i = first; i < this.steps.length; i++) {
      const step = this.steps[i]!
      const left = cap - (step.at - start)
      if (left <= 0) {
        kept = i
        break
      }
      if (step.seconds.typical < left) continue
      step.seconds = clocked(Math.min(left, step.seconds.typical))
      step.by = 'clock'
    }
    this.steps.length = kept
    const last = this.steps.at(-1)
    this.#at = last ? Math.max(start, last.at + last.seconds.typical) : start
    // A slow child is stopped by the cap too: what is left of it is all that any step can last longer.
    let spare = Math.max(0, cap - (this.#at - start))
    for (const step of this.steps.slice(first)) {
      const { low, typical } = step.seconds
      const longer = Math.min(step.seconds.high - typical, spare)
      step.seconds = { low, typical, high: typical + longer }
      spare -= longer
    }
  }

  /** Seconds from the start of the session to here. */
  get now(): number {
    return this.#at
  }

  /** Counted work with its change-over, and both sides where the move has two. */
  dose(turn: Turn, dose: Dose, where: Where = {}): void {
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
    this.#stance = turn.stance
    this.#rested = 0
  }

  #changeTo(turn: Turn): void {
    const seconds = changeSeconds(this.#stance, turn.stance) * this.pace - this.#rested
    const typical = roundHalfUp(seconds)
    if (typical <= 0) return
    const span: Span = {
      low: roundHalfUp(seconds * defaultOf('quick')),
      typical,
      high: roundHalfUp(seconds * defaultOf('slow')),
    }
    this.#add(this.#turnStep(turn, 'change', 'count', span, this.#sayOf(turn, 'changeTo')))
  }
}

const plainRest: Say = Object.freeze({ code: 'rest', params: {} })
