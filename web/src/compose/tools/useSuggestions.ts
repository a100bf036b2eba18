import type { Family } from '@esfuerzo/core'
import type { SuggestContext, SuggestFor, Suggestion } from '@esfuerzo/core/suggest'
import { library } from '../../repertoire/library.ts'
import { useRepertoire } from '../../repertoire/store.ts'
import { coreDoor } from '../../workers/coreDoor.ts'
import { useSession } from '../session/useSession.ts'

/** What suggestions know besides the session: the last two days' sessions, and the exercises her classes were sent. */
function suggestContext(used: ReturnType<typeof useRepertoire>['lately']): SuggestContext {
  const days = [...new Set([...used.values()].map((last) => last.slice(0, 10)))].sort().slice(-2)
  const lately = [...used].filter(([, last]) => days.includes(last.slice(0, 10)))
  return {
    lately: new Set(
      lately.flatMap(([id]): Family[] => {
        const move = library.moves.get(id)
        return move ? [move.family] : []
      }),
    ),
    known: new Set(used.keys()),
  }
}

/** Exercises for a place in the session on screen: the best set, each with its reason. */
export function useSuggestions() {
  const session = useSession()
  const repertoire = useRepertoire()
  return {
    /** The first suggestions for a place, before anything is typed. */
    offer: (place: SuggestFor, most: number, signal: AbortSignal): Promise<Suggestion[]> =>
      coreDoor.run('offer', session.document, { place, most, context: suggestContext(repertoire.lately) }, { signal }),
    /** @returns none if nothing meets the conditions */
    ask: (place: SuggestFor, count: number, signal: AbortSignal): Promise<Suggestion[]> =>
      coreDoor.run(
        'suggest',
        session.document,
        { place, count, context: suggestContext(repertoire.lately) },
        { signal },
      ),
  }
}
