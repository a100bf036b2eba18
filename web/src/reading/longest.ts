import { sessionView, type Session } from '@esfuerzo/core'
import { library } from '../repertoire/library.ts'

/** Seconds of the lane that takes longest. */
export const longest = (session: Session): number =>
  Math.max(0, ...sessionView(session, library).map(({ totals }) => totals.session.seconds.typical))
