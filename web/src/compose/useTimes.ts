import { computed, type ComputedRef, type Ref } from 'vue'
import { isTooLong, timeline, totals, type Group, type SessionTotals, type Step, type Workout } from '@esfuerzo/core'
import { library } from '../teacher/library.ts'

/** A lane of the session as it is now. */
export interface LaneView {
  group: Group
  steps: Step[]
  totals: SessionTotals
  /** More steps than a lane may have: these are the first. */
  tooLong: boolean
}

/** Every lane's steps and totals, made anew with each document. */
export const useTimes = (workout: Readonly<Ref<Workout>>): ComputedRef<LaneView[]> =>
  computed(() =>
    workout.value.groups.map((group) => {
      const steps = timeline(workout.value, group.id, library)
      return { group, steps, totals: totals(steps, group, library), tooLong: isTooLong(steps) }
    }),
  )
