import { computed, type ComputedRef, type Ref } from 'vue'
import { sessionView, type LaneView, type Workout } from '@esfuerzo/core'
import { library } from '../../repertoire/library.ts'

/** Every lane of the session as it is now. */
export const useTimes = (workout: Readonly<Ref<Workout>>): ComputedRef<LaneView[]> =>
  computed(() => sessionView(workout.value, library))
