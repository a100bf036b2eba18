import { computed, shallowRef, type ComputedRef, type ShallowRef } from 'vue'
import { cuesAhead, type LaneCue } from '@esfuerzo/core/cues'
import {
  advance,
  back,
  choose,
  done,
  makeEasier,
  mostCountedSteps,
  moreTime,
  nextShown,
  pause,
  pick,
  resume,
  secondsAfter,
  skip,
  startRun,
  stepElapsed,
  stepsDone,
  stepView,
  tick,
  leftCounted,
  type CountedStep,
  type Course,
  type LaneState,
  type PlayedStep,
  type PlayerState,
  type Pulse,
  type Result,
  type Start,
  type StepView,
} from '@esfuerzo/core/run'
import type { AudioClock, Planned } from './audioClock.ts'
import type { Sound } from './ring.ts'

/** One lane of a run, as the screen shows it. */
export interface LanePlayer {
  state: ComputedRef<LaneState>
  step: ComputedRef<PlayedStep | undefined>
  /** The next work or talk: what "next" shows. */
  next: ComputedRef<{ step: PlayedStep; index: number } | undefined>
  view: ComputedRef<StepView>
  /** Seconds since the step began. */
  elapsed: ComputedRef<number>
  waiting: ComputedRef<boolean>
  result: ComputedRef<{ done: number; skipped: number; easier: number }>
  done: () => void
  back: () => void
  skip: () => void
  more: (seconds: number) => void
  easier: () => void
  choose: (move: string) => void
  pick: (index: number, station: string) => void
}

/** What a child found out during the run: a count, a score, a pulse. */
export type Finding = { result: Result } | { pulse: Pulse }

/** A run stored on the device, so that a reloaded page continues where it was. */
export interface KeptRun {
  state: PlayerState
  /** Seconds of the run's clock. */
  now: number
  found: Finding[][]
  /** How long counted steps took in each lane. */
  counted?: CountedStep[][]
}

export interface Player {
  lanes: LanePlayer[]
  paused: ComputedRef<boolean>
  finished: ComputedRef<boolean>
  /** Seconds to the end of the session for the lane that takes longest. */
  toGo: ComputedRef<number>
  /** Share of the session that is over, 0 to 1. */
  share: ComputedRef<number>
  /** What each lane found out during the run. */
  found: ShallowRef<readonly (readonly Finding[])[]>
  /** How long each lane took over self-counted work. */
  counted: ShallowRef<readonly (readonly CountedStep[])[]>
  /** The page was hidden: the current step was not visible all the time. */
  unseen: () => void
  /** Notes a value; an earlier one for the same place is replaced. */
  note: (lane: number, finding: Finding) => void
  /** Looks at the clock. */
  look: () => void
  togglePause: () => void
  keep: () => KeptRun
  stop: () => void
}

export interface PlayerOptions {
  clock: Pick<AudioClock, 'now' | 'plan' | 'cancel'>
  /** How much faster than real time the run is. */
  speed?: number
  /** Seconds from the start of the session at which the run begins: the step at that time, from its start. */
  from?: number
  /** A run to continue; it starts paused. */
  kept?: KeptRun | undefined
  /** Whether the device speaks or rings. */
  spoken?: () => boolean
  /** Called for every step that starts, in time. */
  onStart?: (start: Start) => void
}

/** How many seconds of real time ahead bells are scheduled on the audio clock. */
const horizon = 15
/** Each lane's bell has its own pitch: the second a major third higher. */
const pitches = [1, 1.26]

const soundOf = (cue: LaneCue): Sound | undefined =>
  cue.kind === 'bell' ? cue.tone : cue.kind === 'count' ? undefined : cue.kind

const samePlace = (a: Finding, b: Finding) =>
  'result' in a && 'result' in b
    ? (['block', 'station', 'lap', 'rung', 'trial'] as const).every((key) => a.result[key] === b.result[key])
    : 'pulse' in a && 'pulse' in b && a.pulse.when === b.pulse.when

/**
 * Runs one or two lanes by a clock. Everything shown is computed from the clock's reading, so a late frame shows the right second and
 * nothing drifts; everything heard is scheduled on the audio clock well before.
 */
// oxlint-disable-next-line max-lines-per-function -- one clock, and what is read from it
export function usePlayer(course: Course, options: PlayerOptions): Player {
  const { clock, speed = 1, from = 0, kept, onStart, spoken = () => false } = options
  const origin = clock.now()
  const base = kept?.now ?? 0
  /** Seconds of the run. */
  const time = () => base + (clock.now() - origin) * speed
  const realTime = (at: number) => origin + (at - base) / speed

  const now = shallowRef(time())
  const state = shallowRef(kept ? pause(kept.state, kept.now) : startRun(course, now.value, from))
  const found = shallowRef<readonly (readonly Finding[])[]>(kept?.found ?? course.lanes.map(() => []))
  const counted = shallowRef<readonly (readonly CountedStep[])[]>(kept?.counted ?? course.lanes.map(() => []))
  /** Whether each lane's step has been visible since it began. */
  const seen = course.lanes.map(() => true)
  const total = Math.max(...course.lanes.map(({ steps }) => steps.reduce((sum, s) => sum + s.seconds.typical, 0)))

  function look() {
    now.value = time()
    const { state: next, starts } = advance(state.value, course, now.value)
    course.lanes.forEach((_, lane) => left(lane, state.value, next))
    state.value = next
    for (const start of starts) onStart?.(start)
    ring()
  }
  /** Records the counted work a lane has left. @param tapped seconds it took, if the child said so */
  function left(lane: number, before: PlayerState, after: PlayerState, tapped?: number) {
    if (before.lanes[lane]!.index === after.lanes[lane]!.index) return
    const how = { seen: seen[lane]!, spoken: spoken(), ...(tapped !== undefined && { tapped }) }
    const step = leftCounted(before, after, course, lane, how)
    seen[lane] = true
    if (step)
      counted.value = counted.value.map((list, i) => (i === lane ? [...list, step].slice(0, mostCountedSteps) : list))
  }
  /** Somebody did something: the plan no longer holds. */
  const act = (change: (state: PlayerState) => PlayerState) => {
    now.value = time()
    const before = tick(state.value, course, now.value)
    course.lanes.forEach((_, lane) => left(lane, state.value, before))
    state.value = change(before)
    clock.cancel()
    ring()
    state.value.lanes.forEach(({ index, waiting }, lane) => {
      if (index !== before.lanes[lane]!.index && !waiting) onStart?.({ lane, index, at: now.value })
    })
  }

  function ring() {
    // A step that began since the last update is due now, not lost.
    const cues = cuesAhead(state.value, course, Math.max(0, now.value - 0.25 * speed), horizon * speed)
    clock.plan(
      cues.flatMap((cue): Planned[] => {
        const sound = soundOf(cue)
        const name = cue.kind === 'tick' ? `tick${cue.left}` : cue.kind
        const key = `${cue.lane}:${cue.index}:${name}:${cue.at.toFixed(3)}`
        return sound ? [{ key, at: realTime(cue.at), sound, pitch: pitches[cue.lane] ?? 1 }] : []
      }),
    )
  }
  ring()

  const lanes = course.lanes.map(({ steps }, lane): LanePlayer => {
    const mine = computed(() => state.value.lanes[lane]!)
    const step = computed(() => steps[mine.value.index])
    const elapsed = computed(() => stepElapsed(state.value, lane, now.value))
    return {
      state: mine,
      step,
      next: computed(() => nextShown(steps, mine.value.index)),
      view: computed(() =>
        step.value
          ? stepView(step.value, elapsed.value, mine.value.more[mine.value.index])
          : { share: 1, secondsLeft: 0, awaitsDone: false },
      ),
      elapsed,
      waiting: computed(() => mine.value.waiting === true),
      result: computed(() => stepsDone(state.value, course, lane)),
      done: () =>
        act((s) => {
          const next = done(s, course, lane, now.value)
          left(lane, s, next, stepElapsed(s, lane, now.value))
          return next
        }),
      back: () => act((s) => back(s, course, lane, now.value)),
      skip: () => act((s) => skip(s, course, lane, now.value)),
      more: (seconds) => act((s) => moreTime(s, lane, seconds)),
      easier: () => act((s) => makeEasier(s, course, lane)),
      choose: (move) => act((s) => choose(s, course, lane, move)),
      pick: (index, station) => act((s) => pick(s, lane, index, station)),
    }
  })

  const toGo = computed(() =>
    Math.max(
      ...lanes.map(({ step, elapsed, state: mine }, lane) =>
        step.value
          ? Math.max(0, step.value.seconds.typical - elapsed.value) +
            secondsAfter(course.lanes[lane]!.steps, mine.value.index)
          : 0,
      ),
    ),
  )
  return {
    lanes,
    paused: computed(() => state.value.pausedAt !== undefined),
    finished: computed(() => lanes.every(({ step }) => step.value === undefined)),
    toGo,
    share: computed(() => (total > 0 ? Math.min(1, 1 - toGo.value / total) : 1)),
    found,
    counted,
    unseen: () => seen.fill(false),
    note: (lane, finding) => {
      found.value = found.value.map((list, i) =>
        i === lane ? [...list.filter((other) => !samePlace(other, finding)), finding] : list,
      )
    },
    look,
    togglePause: () => act((s) => (s.pausedAt === undefined ? pause(s, now.value) : resume(s, now.value))),
    keep: () => ({
      state: state.value,
      now: now.value,
      found: found.value.map((list) => [...list]),
      counted: counted.value.map((list) => [...list]),
    }),
    stop: () => clock.cancel(),
  }
}
