import { setDetails } from '../../session/edits/details.ts'
import type { FixMaker } from './fix.ts'

/** The lanes take this share of the minutes; the rest is for fetching, explaining and drinking (ours). */
const share = 0.88
/** The longest a session may be. */
const mostMinutes = 120

/** Sets the session's minutes to what it really takes. */
export const trueMinutes: FixMaker = {
  id: 'true-minutes',
  candidates: ({ view }) => {
    const longest = Math.max(...view.lanes.map(({ seconds }) => seconds))
    const minutes = Math.max(1, Math.ceil(longest / 60), Math.floor(longest / share / 60))
    if (minutes > mostMinutes) return []
    return [{ facts: { minutes }, session: setDetails(view.session, { minutes }) }]
  },
}
