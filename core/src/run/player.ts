import type { Step } from '../timing/step.ts'

type PlayedStep = Pick<Step, 'kind' | 'by' | 'seconds' | 'reps'>

/**
 * Where a run is. Steps begin at exact times on the clock, never at the moment somebody looked, so that the
 * seconds of a session add up however late the page is drawn.
 */
export interface PlayerState {
  /** Index of the step that is on; equal to the number of steps when all are over. */
  index: number
  /** When it began, in seconds of the clock. */
  began: number
  /** When it was paused, in seconds of the clock. */
  pausedAt?: number
  /** Indexes of the work steps that were skipped. */
  skipped: readonly number[]
}

/** A run that begins now. @param now seconds of a clock that never goes back @param index the step it begins with */
export const startRun = (now: number, index = 0): PlayerState => ({ index, began: now, skipped: [] })

/**
 * How long a step may last: its seconds by the clock; counted work waits for the child up to a slow child's
 * seconds, then goes on by itself so that nobody is stuck.
 */
export const stepLimit = (step: PlayedStep): number =>
  step.kind === 'work' && step.by === 'count' ? step.seconds.high : step.seconds.typical

/** Seconds since the step began, pauses left out. */
export const stepElapsed = (state: PlayerState, now: number): number =>
  Math.max(0, (state.pausedAt ?? now) - state.began)

/** The state at a later moment: every step that has run out is left at the second it ran out. */
export function tick(state: PlayerState, steps: readonly PlayedStep[], now: number): PlayerState {
  if (state.pausedAt !== undefined) return state
  let { index, began } = state
  while (index < steps.length && now - began >= stepLimit(steps[index]!)) began += stepLimit(steps[index++]!)
  return index === state.index ? state : { ...state, index, began }
}

export const pause = (state: PlayerState, now: number): PlayerState =>
  state.pausedAt === undefined ? { ...state, pausedAt: now } : state

export function resume(state: PlayerState, now: number): PlayerState {
  if (state.pausedAt === undefined) return state
  const { pausedAt, ...running } = state
  return { ...running, began: state.began + (now - pausedAt) }
}

const goTo = (state: PlayerState, index: number, now: number): PlayerState => ({
  ...state,
  index,
  began: now,
  ...(state.pausedAt !== undefined && { pausedAt: now }),
})

/** The child says the counted work is done. Steps by the clock are not done before their time. */
export function done(state: PlayerState, steps: readonly PlayedStep[], now: number): PlayerState {
  return steps[state.index]?.by === 'count' ? goTo(state, state.index + 1, now) : state
}

/** Leaves the step; work that is left is remembered as skipped. */
export function skip(state: PlayerState, steps: readonly PlayedStep[], now: number): PlayerState {
  const step = steps[state.index]
  if (!step) return state
  const next = goTo(state, state.index + 1, now)
  return step.kind === 'work' && !state.skipped.includes(state.index)
    ? { ...next, skipped: [...state.skipped, state.index] }
    : next
}

/** Within this many seconds of a step's start, "back" means the step before. */
const backWithin = 3

/** Starts the step again; right at its start, goes to the one before. What was skipped there counts again. */
export function back(state: PlayerState, now: number): PlayerState {
  const index = stepElapsed(state, now) < backWithin ? Math.max(0, state.index - 1) : state.index
  return { ...goTo(state, index, now), skipped: state.skipped.filter((i) => i !== index) }
}

/** What the screen shows of the step that is on. */
export interface StepView {
  /** Share of the step that is over, 0 to 1. */
  share: number
  /** Whole seconds left by the clock; a step of 30 s shows 30 first and 1 last. */
  secondsLeft: number
  /** The rep the figure is at, from 1; undefined where nothing is counted. */
  rep?: number
  /** Whether the child ends it with "done". */
  awaitsDone: boolean
}

/** @param elapsed seconds since the step began */
export function stepView(step: PlayedStep, elapsed: number): StepView {
  const limit = stepLimit(step)
  const awaitsDone = step.kind === 'work' && step.by === 'count'
  const pacedBy = awaitsDone ? step.seconds.typical : limit
  const view: StepView = {
    share: pacedBy > 0 ? Math.min(1, elapsed / pacedBy) : 1,
    secondsLeft: Math.max(0, Math.ceil(limit - elapsed)),
    awaitsDone,
  }
  if (awaitsDone && step.reps && pacedBy > 0) {
    view.rep = Math.min(step.reps, Math.floor((elapsed / pacedBy) * step.reps) + 1)
  }
  return view
}

/** How many work steps were done, and how many skipped. */
export function stepsDone(state: PlayerState, steps: readonly PlayedStep[]): { done: number; skipped: number } {
  const begun = steps.slice(0, state.index).filter((s) => s.kind === 'work').length
  return { done: begun - state.skipped.length, skipped: state.skipped.length }
}

/** Seconds from a step to the end of the session, by typical seconds. */
export const secondsAfter = (steps: readonly PlayedStep[], index: number): number =>
  steps.slice(index + 1).reduce((sum, s) => sum + s.seconds.typical, 0)
