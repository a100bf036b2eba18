import { sessionSchema, type Aim, type Home, type Session } from '../schema.ts'
import { checked } from './locate.ts'

const detailsSchema = sessionSchema.pick({
  title: true,
  minutes: true,
  finishTogether: true,
  asksMoved: true,
  aim: true,
  home: true,
})

/** Changes a session's own fields: title, minutes, finishing together, aim, home. */
export function setDetails(
  session: Session,
  fields: Partial<Pick<Session, 'title' | 'minutes' | 'finishTogether'>> & {
    asksMoved?: boolean
    aim?: Partial<Aim>
    home?: Partial<Home>
  },
): Session {
  const { title, minutes, finishTogether, asksMoved } = { ...session, ...fields }
  const details = checked(detailsSchema, {
    title,
    minutes,
    finishTogether,
    ...(asksMoved && { asksMoved }),
    aim: { ...session.aim, ...fields.aim },
    home: { ...session.home, ...fields.home },
  })
  const { asksMoved: _, ...rest } = session
  return { ...rest, ...details }
}
