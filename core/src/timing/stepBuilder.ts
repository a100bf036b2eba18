import type { Library } from '../library/library.ts'
import { performedBy, type Performed } from '../library/versionFor.ts'
import { typicalAmount, type Dose } from '../terms/dose.ts'
import type { TestId, Travel } from '../session/blockParts.ts'
import type { Group } from '../terms/group.ts'
import { valueFor, type PerGroup } from '../terms/perGroup.ts'
import { cellAt, type Cell, type Station } from '../session/station.ts'
import { shares, spread } from './apportion.ts'
import { changeSeconds, changeSpan, stanceFor, standUpSeconds, startStance, type Stance } from './changeOver.ts'
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

/** Thrown where a lane would get more steps than it may have. */
export class LaneFull extends Error {}

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
  /** How many steps there may be. */
  readonly #most: number
  readonly group: Group
  readonly pace: number
  #library: Library
  #breath: number
  /** How things stood before each step of a block whose cap may come in the middle of one. */
  #before: Carry[] | undefined
  /** Sums that were asked before: none comes twice in a session. */
  readonly sumsAsked = new Set<string>()
  #at = 0
  #fade: readonly Fraction[] = []
  #section = ''
  #block = ''
  #stance: Stance
  #rested: number

  /**
   * @param carry what came before; left out, the session begins
   * @param most how many steps there may be: whatever would add another throws {@link LaneFull}
   */
  constructor(group: Group, library: Library, pace: number, { stance, rested }: Carry = startCarry, most = Infinity) {
    this.#most = most
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
      this.#rested += seconds
    }
  }

  /** A rest on the clock. @param next what it announces: a turn, or that the child chooses @param lap the lap it belongs to */
  rest(seconds: number, next: Turn | Say | undefined, lap?: number): void {
    if (seconds <= 0) return
    const step: Step = {
      at: this.#at,
      seconds: clocked(seconds),
      kind: 'rest',
      by: 'clock',
      section: this.#section,
      block: this.#block,
      say: !next ? plainRest : 'code' in next ? next : this.#sayOf(next, 'restNext'),
    }
    if (lap !== undefined) step.lap = lap
    this.#add(step)
    this.#rested += seconds
  }

  /** A rest as long as somebody else's work, which whoever is done ends: time to get into place as any rest is. */
  wait(seconds: Span, say: Say, where: Where & { station?: string } = {}): void {
    if (seconds.high <= 0) return
    const { section, block } = { section: this.#section, block: this.#block }
    this.#add({ at: this.#at, seconds, kind: 'rest', by: 'count', section, block, ...where, say })
    this.#rested += seconds.typical
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
  slot(turn: Turn, seconds: number, lap?: number, side?: 'first' | 'second'): void {
    const step = this.#turnStep(
      turn,
      'work',
      'clock',
      clocked(seconds),
      this.#sayOf(turn, side ? 'workSide' : 'work', side),
    )
    if (lap !== undefined) step.lap = lap
    if (side) step.side = side
    if (turn.cell.tempo && turn.cell.tempo !== 'led') step.tempo = turn.cell.tempo
    this.#add(step)
    this.#settle(turn)
  }

  /** A slot of both sides where the move has two: halves, the odd second to the first. */
  splitSlot(turn: Turn, seconds: number, lap?: number): void {
    if (turn.what.sides !== 'each' || seconds < 2) return this.slot(turn, seconds, lap)
    this.slot(turn, Math.ceil(seconds / 2), lap, 'first')
    this.slot(turn, Math.floor(seconds / 2), lap, 'second')
  }

  /** Something that is no move: a flip, a question, a measurement, the way to the next station. */
  tell(kind: StepKind, by: Step['by'], seconds: Span, say: Say, where: Where & { station?: string } = {}): void {
    if (seconds.high <= 0) return
    const { section, block } = { section: this.#section, block: this.#block }
    this.#add({ at: this.#at, seconds, kind, by, section, block, ...where, say })
    this.#rested = 0
  }

  /**
   * The way to the next station, on the clock. Whoever is down stands up for it, and has to get down again; by the clock
   * that has to fit in the rest. Things stay in the hands.
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

  /** A measurement of so many trials, set up first where it needs that. */
  measure(test: TestId, trials: number, moment?: string): void {
    const seconds = measureSeconds(test, trials)
    this.tell('measure', 'clock', clocked(seconds), { code: 'measure', params: { test, n: trials, title: moment } })
  }

  /** What is counted in `run`, changing over too, takes longer by some factors; the clock's seconds stay. */
  slower(factors: readonly Fraction[], run: () => void): void {
    const before = this.#fade
    this.#fade = factors
    run()
    this.#fade = before
  }

  /**
   * Whatever `run` adds ends with the cap for three whole children: a quick, a usual and a slow one are each stopped by
   * it. The usual one's step that meets it is cut, what comes after is left out, and what it would have done is not done.
   *
   * @param goesOn whether whoever is quick goes on until the cap: what `run` adds is only what a usual child does
   */
  capped(cap: number | undefined, run: () => void, goesOn = false): void {
    const start = this.#at
    const first = this.steps.length
    if (cap === undefined) return run()
    const before: Carry[] = (this.#before = [])
    run()
    this.#before = undefined
    const all = this.steps.slice(first)
    const total = (end: keyof Span) =>
      Math.min(
        cap,
        all.reduce((sum, step) => sum + step.seconds[end], 0),
      )
    const [low, high] = [total(goesOn ? 'typical' : 'low'), total('high')]
    const met = all.findIndex((step) => step.at + step.seconds.typical - start >= cap)
    if (met >= 0) this.#cutAfter(first + met, start + cap, before[met]!, before[met + 1] ?? this.carry)
    const fromLast = this.steps.slice(first).toReversed()
    spread(fromLast, 'low', low)
    spread(fromLast, 'high', high)
  }

  /** Ends the steps with one that is over at a moment. @param before how things stood at its start @param after and at its end */
  #cutAfter(index: number, at: number, before: Carry, after: Carry): void {
    const step = this.steps[index]!
    const left = at - step.at
    this.steps.length = index + 1
    this.#at = at
    if (left === step.seconds.typical) {
      this.#stance = after.stance
      this.#rested = after.rested
      return
    }
    this.#stance = before.stance
    // A rest is taken as far as it went.
    this.#rested = step.kind === 'rest' || step.kind === 'talk' ? before.rested + left : 0
    const { reps: _, ...cut } = step
    this.steps[index] = { ...cut, seconds: { low: Math.min(step.seconds.low, left), typical: left, high: left } }
  }

  /**
   * Makes the steps from one on last so long together, each in its share: what only chance knows the parts of. None is led by a
   * clock then.
   */
  lastAltogether(first: number, { low, typical, high }: Span): void {
    const all = this.steps.slice(first)
    const start = all[0]?.at ?? this.#at
    const usual = shares(
      all.map((step) => step.seconds.typical),
      typical,
    )
    const quick = shares(usual, low)
    const slow = shares(usual, high)
    this.#at = start
    for (const [i, step] of all.entries()) {
      this.steps[first + i] = {
        ...step,
        at: this.#at,
        by: 'count',
        seconds: { low: quick[i]!, typical: usual[i]!, high: slow[i]! },
      }
      this.#at += usual[i]!
    }
  }

  /** Seconds from the start of the session to here. */
  get now(): number {
    return this.#at
  }

  /** Counted work with its change-over, and both sides where the move has two. */
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
    this.#stance = turn.stance
    this.#rested = 0
  }

  #changeTo(turn: Turn): void {
    this.#change(changeSeconds(this.#stance, turn.stance), (seconds) =>
      this.#turnStep(turn, 'change', 'count', seconds, this.#sayOf(turn, 'changeTo')),
    )
    this.#settle(turn)
  }

  /** Getting into place: what the rest before it did not cover. */
  #change(seconds: number, step: (seconds: Span) => Step): void {
    if (seconds === 0) return
    const span = changeSpan(seconds, this.pace, this.#rested, this.#fade)
    if (span.typical > 0) this.#add(step(span))
  }
}

const plainRest: Say = Object.freeze({ code: 'rest', params: {} })
const standUp: Say = Object.freeze({ code: 'standUp', params: {} })
