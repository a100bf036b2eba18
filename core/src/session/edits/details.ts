import { workoutSchema, type Aim, type Home, type Workout } from '../schema.ts'
import { checked } from './locate.ts'

const detailsSchema = workoutSchema.pick({ title: true, minutes: true, finishTogether: true, aim: true, home: true })

/** Changes what the session says of itself as a whole: title, minutes, finishing together, aim, home. */
export function setDetails(
  workout: Workout,
  fields: Partial<Pick<Workout, 'title' | 'minutes' | 'finishTogether'>> & { aim?: Partial<Aim>; home?: Partial<Home> },
): Workout {
  const { title, minutes, finishTogether } = { ...workout, ...fields }
  const details = checked(detailsSchema, {
    title,
    minutes,
    finishTogether,
    aim: { ...workout.aim, ...fields.aim },
    home: { ...workout.home, ...fields.home },
  })
  return { ...workout, ...details }
}
