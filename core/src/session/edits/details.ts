import { workoutSchema, type Aim, type Home, type Workout } from '../schema.ts'
import { checked } from './locate.ts'

const detailsSchema = workoutSchema.pick({
  title: true,
  minutes: true,
  finishTogether: true,
  asksMoved: true,
  aim: true,
  home: true,
})

/** Changes what the session says of itself as a whole: title, minutes, finishing together, aim, home. */
export function setDetails(
  workout: Workout,
  fields: Partial<Pick<Workout, 'title' | 'minutes' | 'finishTogether'>> & {
    asksMoved?: boolean
    aim?: Partial<Aim>
    home?: Partial<Home>
  },
): Workout {
  const { title, minutes, finishTogether, asksMoved } = { ...workout, ...fields }
  const details = checked(detailsSchema, {
    title,
    minutes,
    finishTogether,
    ...(asksMoved && { asksMoved }),
    aim: { ...workout.aim, ...fields.aim },
    home: { ...workout.home, ...fields.home },
  })
  const { asksMoved: _, ...rest } = workout
  return { ...rest, ...details }
}
