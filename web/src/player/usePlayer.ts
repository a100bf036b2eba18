import { computed, shallowRef, watch, type ComputedRef, type Ref } from 'vue'
import {
  back,
  done,
  pause,
  resume,
  secondsAfter,
  skip,
  startRun,
  stepElapsed,
  stepLimit,
  stepsDone,
  stepView,
  tick,
  type Lane,
  type PlayerState,
  type StepView,
} from '@esfuerzo/core'
import type { Bell } from './bell.ts'

export type LaneStep = Lane['steps'][number]

export interface Player {
  step: ComputedRef<LaneStep | undefined>
  next: ComputedRef<LaneStep | undefined>
  view: ComputedRef<StepView>
  /** Seconds since the step began. */
  elapsed: ComputedRef<number>
  /** Seconds to the end of the session. */
  toGo: ComputedRef<number>
  /** Share of the session that is over, 0 to 1. */
  share: ComputedRef<number>
  paused: ComputedRef<boolean>
  finished: ComputedRef<boolean>
  result: ComputedRef<{ done: number; skipped: number }>
  /** Looks at the clock. */
  look: () => void
  togglePause: () => void
  back: () => void
  skip: () => void
  done: () => void
  stop: () => void
}

/** The next work, where it is not hidden: what "next" shows. */
const nextWork = (steps: readonly LaneStep[], index: number) =>
  steps.slice(index + 1).find((s) => s.kind === 'work' || s.kind === 'talk')

/**
 * Runs a lane by a clock. All that is shown follows from the clock's reading, so a late frame shows the right
 * second and nothing drifts.
 *
 * @param steps of the lane
 * @param clock seconds that never go back
 * @param bell rung at the end of each step by the clock
 * @param speed how much faster than real time the clock goes, for the bell
 * @param from seconds from the start of the lane at which the run begins: the step that is on then, from its start
 */
export function usePlayer(steps: readonly LaneStep[], clock: () => number, bell: Bell, speed = 1, from = 0): Player {
  const now = shallowRef(clock())
  const first = steps.findIndex((s) => from < s.at + s.seconds.typical)
  const state: Ref<PlayerState> = shallowRef(startRun(now.value, Math.max(0, first)))
  const step = computed(() => steps[state.value.index])
  const elapsed = computed(() => stepElapsed(state.value, now.value))
  const total = steps.reduce((sum, s) => sum + s.seconds.typical, 0)

  function set(next: PlayerState) {
    state.value = next
  }
  function look() {
    now.value = clock()
    set(tick(state.value, steps, now.value))
  }
  const act = (change: (state: PlayerState) => PlayerState) => () => {
    look()
    set(change(state.value))
  }

  /** Rings at the end of the step that is on, again after every change of the plan. */
  function ring() {
    bell.cancel()
    const on = step.value
    if (!on || state.value.pausedAt !== undefined) return
    const left = (stepLimit(on) - stepElapsed(state.value, clock())) / speed
    const following = steps[state.value.index + 1]
    bell.scheduleEnd(
      left,
      following?.kind === 'work',
      on.by === 'clock' && stepLimit(on) >= 5 ? [3, 2, 1].map((s) => s / speed) : [],
    )
  }
  watch(state, (after, before) => {
    // A step that ran out by itself has rung already, on time; only its follower is to be scheduled.
    if (after.index !== before.index || after.pausedAt !== before.pausedAt || after.began !== before.began) ring()
  })
  ring()

  const toGo = computed(() =>
    step.value ? Math.max(0, step.value.seconds.typical - elapsed.value) + secondsAfter(steps, state.value.index) : 0,
  )
  return {
    step,
    next: computed(() => nextWork(steps, state.value.index)),
    view: computed(() =>
      step.value ? stepView(step.value, elapsed.value) : { share: 1, secondsLeft: 0, awaitsDone: false },
    ),
    elapsed,
    toGo,
    share: computed(() => (total > 0 ? 1 - toGo.value / total : 1)),
    paused: computed(() => state.value.pausedAt !== undefined),
    finished: computed(() => step.value === undefined),
    result: computed(() => stepsDone(state.value, steps)),
    look,
    togglePause: act((s) => (s.pausedAt === undefined ? pause(s, now.value) : resume(s, now.value))),
    back: act((s) => back(s, now.value)),
    skip: act((s) => skip(s, steps, now.value)),
    done: act((s) => done(s, steps, now.value)),
    stop: () => bell.cancel(),
  }
}
