import type { Course } from '../run/course.ts'
import { advance, stepLimit, type PlayerState, type Start } from '../run/player.ts'
import { stepCues, type Cue } from './stepCues.ts'

/** A cue of a lane at its moment on the run's clock, in seconds. */
export type LaneCue = Cue & {
  lane: number
  /** Its step in the lane. */
  index: number
}

/**
 * All sounds from now to some seconds ahead if nobody does anything: a player schedules them on the audio clock, so that a busy page is not
 * late.
 *
 * @param now seconds of the run's clock
 * @param ahead how many seconds to look ahead
 */
export function cuesAhead(state: PlayerState, course: Course, now: number, ahead: number): LaneCue[] {
  if (state.pausedAt !== undefined) return []
  const until = now + ahead
  const later = advance(state, course, until)
  const on = state.lanes.flatMap(({ index, began, waiting }, lane): Start[] =>
    waiting ? [] : [{ lane, index, at: began }],
  )
  const cues = [...on, ...later.starts].flatMap(({ lane, index, at }): LaneCue[] => {
    const step = course.lanes[lane]!.steps[index]
    if (!step) return []
    const seconds = stepLimit(step, state.lanes[lane]!.more[index])
    return stepCues(step, seconds).map((cue) => ({ ...cue, at: at + cue.at, lane, index }))
  })
  const ends = later.state.lanes.flatMap(({ index, began }, lane): LaneCue[] =>
    index >= course.lanes[lane]!.steps.length ? [{ at: began, kind: 'bell', tone: 'end', lane, index }] : [],
  )
  return [...cues, ...ends].filter((cue) => cue.at >= now && cue.at <= until)
}
