import type { Family } from '@esfuerzo/core'
import {
  offered,
  picksLp,
  picksOf,
  suggested,
  type SuggestContext,
  type SuggestFor,
  type Suggestion,
} from '@esfuerzo/core/suggest'
import { library } from '../../repertoire/library.ts'
import { useRepertoire } from '../../repertoire/store.ts'
import { coreDoor } from '../../workers/coreDoor.ts'
import { solve } from '../../workers/solver.ts'
import { useSession } from '../session/useSession.ts'

/** What is known besides the session: what the last two days' sessions had, what her classes were sent. */
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

/** Moves for a place in the session on screen, the best so many together, each with why. */
export function useSuggestions() {
  const session = useSession()
  const repertoire = useRepertoire()
  return {
    /** What comes first for a place, before anything is typed. */
    async offer(place: SuggestFor, most: number, signal: AbortSignal): Promise<Suggestion[]> {
      const context = suggestContext(repertoire.lately)
      return offered(await coreDoor.run('suggest', session.document, { place, count: 1, context }, { signal }), most)
    },
    /** @returns none where nothing keeps to what is asked */
    async ask(place: SuggestFor, count: number, signal: AbortSignal): Promise<Suggestion[]> {
      const context = suggestContext(repertoire.lately)
      const found = await coreDoor.run('suggest', session.document, { place, count, context }, { signal })
      const columns = found.problem.count ? await solve(picksLp(found.problem)) : undefined
      return columns
        ? suggested(
            found,
            picksOf(found.problem, (name) => columns[name] ?? 0),
          )
        : []
    },
  }
}
