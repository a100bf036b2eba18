import type { Amount } from '../terms/dose.ts'
import type { Unit } from '../terms/units.ts'
import type { Course, PlayedStep } from './course.ts'

/** The state of one lane of a run. */
export interface LaneState {
  /** Index of the current step; equal to the number of steps at the end. */
  index: number
  /** When it began, in seconds of the clock; while waiting, when it reached the block's start. */
  began: number
  /** When its block began, for a block that ends at its cap. */
  blockBegan?: number
  /** Waiting at the start of a block until the other lane arrives. */
  waiting?: boolean
  /** Indexes of the work steps that were skipped, and of those done in an easier version. */
  skipped: readonly number[]
  eased: readonly number[]
  /** Indexes of the work steps that a cap cut off. */
  unreached?: readonly number[]
  /** How many versions easier each station is done from now on. */
  easier: Readonly<Record<string, number>>
  /** The exercise chosen at a station with a choice, and the station chosen for a step with one. */
  chosen: Readonly<Record<string, string>>
  picked: Readonly<Record<number, string>>
  /** Extra seconds a step was given. */
  more: Readonly<Record<number, number>>
}

/**
 * The position of a run. Steps begin at exact times on the clock, never when the page is drawn, so that the seconds of a session add up
 * however late the page is drawn.
 */
export interface PlayerState {
  lanes: readonly LaneState[]
  /** When it was paused, in seconds of the clock. */
  pausedAt?: number
}

/** A step that began: which lane's, which step, when. */
export interface Start {
  lane: number
  index: number
  at: number
}

const freshLane = (index: number, began: number): LaneState => ({
  index,
  began,
  blockBegan: began,
  skipped: [],
  eased: [],
  easier: {},
  chosen: {},
  picked: {},
  more: {},
})

/**
 * A run that begins now.
 *
 * @param now seconds of a clock that never goes back
 * @param from seconds from the start of the session: each lane begins with the step at that time
 */
export function startRun(course: Course, now: number, from = 0): PlayerState {
  return {
    lanes: course.lanes.map(({ steps }) => {
      const index = steps.findIndex((s) => from < s.at + s.seconds.typical)
      return freshLane(Math.max(0, index), now)
    }),
  }
}

/**
 * How long a step may last if its block has no cap: a timed step its seconds; a self-paced step as long as needed; "as long as you can" up
 * to its own cap. A slow child is never pushed on.
 *
 * @param more extra seconds given
 */
export const stepLimit = (step: Pick<PlayedStep, 'kind' | 'by' | 'seconds' | 'say'>, more = 0): number =>
  (waitsForDone(step) ? (isOpenHold(step) ? step.seconds.high : Infinity) : step.seconds.typical) + more

/** "As long as you can": at most up to its cap. */
const isOpenHold = ({ say }: Pick<PlayedStep, 'say'>): boolean => {
  const { amount, unit } = say.params as { amount?: Amount; unit?: Unit }
  return unit === 'seconds' && typeof amount === 'object' && 'most' in amount
}

/** Whether the child ends a step: counted work, a question, a measurement. */
const waitsForDone = ({ kind, by }: Pick<PlayedStep, 'kind' | 'by'>): boolean =>
  by === 'count' && (kind === 'work' || kind === 'talk' || kind === 'measure')

/** Seconds since a lane's step started, without pauses; none while it waits. */
export const stepElapsed = (state: PlayerState, lane: number, now: number): number => {
  const { began, waiting } = state.lanes[lane]!
  return waiting ? 0 : Math.max(0, (state.pausedAt ?? now) - began)
}

const placeOf = (course: Course, lane: number, { index }: LaneState): number => {
  const step = course.lanes[lane]!.steps[index]
  return step ? (course.order.get(step.block) ?? 0) : Infinity
}

/** Moves a lane to a step at a moment; at a block's start it waits for the other lane. */
function enter(state: PlayerState, course: Course, lane: number, index: number, at: number): PlayerState {
  const { steps } = course.lanes[lane]!
  const before = state.lanes[lane]!
  const newBlock = index > 0 && index < steps.length && steps[index]!.block !== steps[index - 1]!.block
  const { waiting: _, ...rest } = before
  const held = newBlock && course.lanes.length > 1 ? { waiting: true } : {}
  return withLane(state, lane, { ...rest, index, began: at, ...(newBlock && { blockBegan: at }), ...held })
}

/**
 * When the current step of a lane ends if nobody does anything, in seconds of the clock, and which follows: a cap ends the current step of
 * its block and everything left of it.
 */
export function stepOver(course: Course, lane: number, { index, began, blockBegan = began, more }: LaneState) {
  const { steps, caps } = course.lanes[lane]!
  const step = steps[index]!
  const end = began + stepLimit(step, more[index])
  const cap = caps.get(step.block)
  const capped = cap === undefined ? Infinity : blockBegan + cap + (more[index] ?? 0)
  if (capped > end) return { end, next: index + 1 }
  const next = steps.findIndex((s, i) => i > index && s.block !== step.block)
  return { end: Math.max(began, capped), next: next < 0 ? steps.length : next }
}

const withLane = (state: PlayerState, lane: number, next: LaneState): PlayerState => ({
  ...state,
  lanes: state.lanes.map((other, i) => (i === lane ? next : other)),
})

/** Releases lanes that no longer wait for anybody. */
function release(state: PlayerState, course: Course, at: number, starts: Start[]): PlayerState {
  let now = state
  state.lanes.forEach((lane, i) => {
    if (!lane.waiting) return
    const place = placeOf(course, i, lane)
    if (!state.lanes.every((other, j) => j === i || placeOf(course, j, other) >= place)) return
    const { waiting: _, ...rest } = lane
    now = withLane(now, i, { ...rest, began: at, blockBegan: at })
    starts.push({ lane: i, index: lane.index, at })
  })
  return now
}

/**
 * The state at a later moment, and the steps that began on the way: every finished step ends at the exact second it ran out; at the start
 * of a block, the lane that arrives first waits for the other.
 */
export function advance(state: PlayerState, course: Course, now: number): { state: PlayerState; starts: Start[] } {
  const starts: Start[] = []
  if (state.pausedAt !== undefined) return { state, starts }
  let next = state
  for (;;) {
    let first: { lane: number; end: number; next: number } | undefined
    next.lanes.forEach((lane, i) => {
      const step = course.lanes[i]!.steps[lane.index]
      if (!step || lane.waiting) return
      const over = stepOver(course, i, lane)
      if (over.end <= now && (!first || over.end < first.end)) first = { lane: i, ...over }
    })
    if (!first) return { state: next, starts }
    const { lane, end } = first
    const here = next.lanes[lane]!
    const passed = course.lanes[lane]!.steps.flatMap((s, i) =>
      i > here.index && i < first!.next && s.kind === 'work' ? [i] : [],
    )
    if (passed.length) next = withLane(next, lane, { ...here, unreached: [...(here.unreached ?? []), ...passed] })
    next = leave(next, course, lane, first.next, end, starts)
  }
}

/** Moves a lane to another step at a moment, and releases the lane that waited for it. */
function leave(
  state: PlayerState,
  course: Course,
  lane: number,
  index: number,
  at: number,
  starts: Start[],
): PlayerState {
  const entered = enter(state, course, lane, index, at)
  if (!entered.lanes[lane]!.waiting && index < course.lanes[lane]!.steps.length) starts.push({ lane, index, at })
  return release(entered, course, at, starts)
}

/** The state at a later moment. */
export const tick = (state: PlayerState, course: Course, now: number): PlayerState => advance(state, course, now).state

/** The player before it moves. @param now seconds of its clock */
export const pause = (state: PlayerState, now: number): PlayerState =>
  state.pausedAt === undefined ? { ...state, pausedAt: now } : state

/** The player, continued. @param now seconds of its clock */
export function resume(state: PlayerState, now: number): PlayerState {
  if (state.pausedAt === undefined) return state
  const { pausedAt, ...running } = state
  const paused = now - pausedAt
  return {
    ...running,
    lanes: state.lanes.map(({ began, blockBegan = began, ...lane }) => ({
      ...lane,
      began: began + paused,
      blockBegan: blockBegan + paused,
    })),
  }
}

/** @param now during a pause the pause's own moment, so that nothing of the next step has passed when it continues */
const goTo = (state: PlayerState, course: Course, lane: number, index: number, now: number): PlayerState =>
  leave(state, course, lane, index, state.pausedAt ?? now, [])

/** The child says the counted work is done. Timed steps cannot end early this way. */
export function done(state: PlayerState, course: Course, lane: number, now: number): PlayerState {
  const { index, waiting } = state.lanes[lane]!
  const step = course.lanes[lane]!.steps[index]
  return step?.by === 'count' && !waiting ? goTo(state, course, lane, index + 1, now) : state
}

/** Leaves the step; unfinished work is recorded as skipped. */
export function skip(state: PlayerState, course: Course, lane: number, now: number): PlayerState {
  const { index, skipped, waiting } = state.lanes[lane]!
  const step = course.lanes[lane]!.steps[index]
  if (!step || waiting) return state
  const next = goTo(state, course, lane, index + 1, now)
  return step.kind === 'work' && !skipped.includes(index)
    ? withLane(next, lane, { ...next.lanes[lane]!, skipped: [...skipped, index] })
    : next
}

/** Within this many seconds of a step's start, "back" means the step before. */
const backWithin = 3

/**
 * Restarts the step; right at its start, goes to the previous one. If that was skipped, it counts again. Its block's elapsed time becomes
 * what the steps before it usually take.
 */
export function back(state: PlayerState, course: Course, lane: number, now: number): PlayerState {
  const here = state.lanes[lane]!
  const index = stepElapsed(state, lane, now) < backWithin ? Math.max(0, here.index - 1) : here.index
  const { waiting: _, ...rest } = here
  const { steps } = course.lanes[lane]!
  const began = state.pausedAt ?? now
  const step = steps[index]
  const inBlock = step ? step.at - steps.find((s) => s.block === step.block)!.at : 0
  return withLane(state, lane, {
    ...rest,
    index,
    began,
    blockBegan: began - inBlock,
    skipped: here.skipped.filter((i) => i !== index),
    unreached: here.unreached?.filter((i) => i < index),
  })
}

/** Gives the current step some extra seconds. */
export function moreTime(state: PlayerState, lane: number, seconds: number): PlayerState {
  const here = state.lanes[lane]!
  return withLane(state, lane, {
    ...here,
    more: { ...here.more, [here.index]: (here.more[here.index] ?? 0) + seconds },
  })
}

/** The station of a lane's step: its own, or the one the child picked. */
export const stationAt = (lane: LaneState, step: PlayedStep | undefined, index = lane.index): string | undefined =>
  step?.station ?? lane.picked[index]

/** From now on the station uses the next easier version; the rest counts as made easier. */
export function makeEasier(state: PlayerState, course: Course, lane: number): PlayerState {
  const here = state.lanes[lane]!
  const step = course.lanes[lane]!.steps[here.index]
  const station = stationAt(here, step)
  if (!step) return state
  return withLane(state, lane, {
    ...here,
    eased: here.eased.includes(here.index) ? here.eased : [...here.eased, here.index],
    ...(station && { easier: { ...here.easier, [station]: (here.easier[station] ?? 0) + 1 } }),
  })
}

/** The child switches to another exercise allowed at the current station. */
export function choose(state: PlayerState, course: Course, lane: number, move: string): PlayerState {
  const here = state.lanes[lane]!
  const station = stationAt(here, course.lanes[lane]!.steps[here.index])
  return station ? withLane(state, lane, { ...here, chosen: { ...here.chosen, [station]: move } }) : state
}

/** The child picks the station of a step that offers a choice. */
export function pick(state: PlayerState, lane: number, index: number, station: string): PlayerState {
  const here = state.lanes[lane]!
  return withLane(state, lane, { ...here, picked: { ...here.picked, [index]: station } })
}

/** What the screen shows of the current step. */
export interface StepView {
  /** Share of the step that is over, 0 to 1. */
  share: number
  /** Whole seconds left; a step of 30 s shows 30 first and 1 last. */
  secondsLeft: number
  /** The figure's current rep, from 1; undefined if nothing is counted. */
  rep?: number
  /** Whether the child ends it with "done". */
  awaitsDone: boolean
}

/** @param elapsed seconds since the step began @param more extra seconds it was given */
export function stepView(step: PlayedStep, elapsed: number, more = 0): StepView {
  const limit = stepLimit(step, more)
  const awaitsDone = waitsForDone(step)
  const pacedBy = awaitsDone ? step.seconds.typical : limit
  const view: StepView = {
    share: pacedBy > 0 ? Math.min(1, elapsed / pacedBy) : 1,
    secondsLeft: Math.max(0, Math.ceil((limit === Infinity ? pacedBy : limit) - elapsed)),
    awaitsDone,
  }
  if (awaitsDone && step.reps && pacedBy > 0) {
    view.rep = Math.min(step.reps, Math.floor((elapsed / pacedBy) * step.reps) + 1)
  }
  return view
}

/** How many work steps of a lane were done, how many skipped, how many done in an easier version. */
export function stepsDone(
  state: PlayerState,
  course: Course,
  lane: number,
): { done: number; skipped: number; easier: number } {
  const { index, skipped, eased, easier, unreached = [] } = state.lanes[lane]!
  const begun = course.lanes[lane]!.steps.slice(0, index)
  const isEased = (s: PlayedStep, i: number) =>
    s.kind === 'work' &&
    !skipped.includes(i) &&
    !unreached.includes(i) &&
    (eased.includes(i) || (s.station !== undefined && i > firstEased(s)))
  const firstEased = ({ station }: PlayedStep) =>
    easier[station!] ? Math.min(...eased.filter((i) => begun[i]?.station === station), Infinity) : Infinity
  return {
    done: begun.filter((s) => s.kind === 'work').length - skipped.length - unreached.length,
    skipped: skipped.length,
    easier: begun.filter(isEased).length,
  }
}

/** Seconds from a step to the end of the session, at typical seconds. */
export const secondsAfter = (steps: readonly PlayedStep[], index: number): number =>
  steps.slice(index + 1).reduce((sum, s) => sum + s.seconds.typical, 0)
