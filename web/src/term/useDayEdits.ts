import { clearDay, keepFree, moveDay, pinDay, placeSession } from '@esfuerzo/core/term'
import { useTerm } from './useTerm.ts'

/** Changes to the days of a term, each one undo step. */
export function useDayEdits(titleOf: (session: string) => string | undefined) {
  const store = useTerm()
  const isPinned = (date: string) => store.document.places.some((p) => p.date === date && p.pinned)
  return {
    put: (session: string, date: string) =>
      store.edit((now) => placeSession(now, date, { session, title: (titleOf(session) ?? '').slice(0, 120) })),
    move: (from: string, to: string) => store.edit((now) => moveDay(now, from, to)),
    pin: (date: string) => store.edit((now) => pinDay(now, date, !isPinned(date))),
    free: (date: string) => store.edit((now) => keepFree(now, date)),
    clear: (date: string) => store.edit((now) => clearDay(now, date)),
  }
}
