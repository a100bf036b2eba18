import { sessionView, type Workout } from '@esfuerzo/core'
import { library } from '../repertoire/library.ts'

/** Seconds of the lane that takes longest. */
export const longest = (workout: Workout): number =>
  Math.max(0, ...sessionView(workout, library).map(({ totals }) => totals.session.seconds.typical))
