import { limits } from '../../base/limits.ts'
import type { Answer, Session } from '../schema.ts'

/** The session with an ignored finding: its latest answer counts; the oldest of too many are dropped. */
export function leaveFinding(session: Session, answer: Answer): Session {
  const others = (session.answered ?? []).filter(({ finding }) => finding !== answer.finding)
  return { ...session, answered: [...others, answer].slice(-limits.answers) }
}

/** The session without an answer: the finding is open again. */
export function reopenFinding({ answered = [], ...session }: Session, finding: string): Session {
  const others = answered.filter((answer) => answer.finding !== finding)
  return others.length ? { ...session, answered: others } : session
}
