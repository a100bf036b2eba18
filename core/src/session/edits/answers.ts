import { limits } from '../../base/limits.ts'
import type { Answer, Workout } from '../schema.ts'

/** The session with a finding left as it is: the latest answer to it counts, the oldest of too many go. */
export function leaveFinding(workout: Workout, answer: Answer): Workout {
  const others = (workout.answered ?? []).filter(({ finding }) => finding !== answer.finding)
  return { ...workout, answered: [...others, answer].slice(-limits.answers) }
}

/** The session without an answer: the finding is open again. */
export function reopenFinding({ answered = [], ...workout }: Workout, finding: string): Workout {
  const others = answered.filter((answer) => answer.finding !== finding)
  return others.length ? { ...workout, answered: others } : workout
}
