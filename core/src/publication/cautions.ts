import type { Publication } from './schema.ts'

/** What there is to take care of, with the moves it is for. */
export interface Caution {
  text: string
  /** Names of moves; those of a surprise are not among them. */
  moves: string[]
}

/** So many stand before a run; the others behind them. */
export const cautionsShown = 7

/**
 * What a session's moves ask to take care of, each said once with the moves it is for: what a move puts first comes first, then what
 * is for most moves.
 *
 * @param phrase a text of the publication in the reader's language
 * @example gatheredCautions(publication, (text) => text)[0] // { text: 'Shoes on, …', moves: ['Pogo jump', 'Hop'] }
 */
export function gatheredCautions(
  publication: Pick<Publication, 'sections' | 'moves' | 'lanes'>,
  phrase: (text: string) => string,
): Caution[] {
  const hidden = surpriseMoves(publication)
  const gathered = new Map<string, { place: number; count: number; moves: string[] }>()
  for (const move of publication.moves)
    move.cautions.forEach((text, place) => {
      const one = gathered.get(text) ?? { place, count: 0, moves: [] }
      one.place = Math.min(one.place, place)
      one.count++
      if (!hidden.has(move.id)) one.moves.push(phrase(move.name))
      gathered.set(text, one)
    })
  return [...gathered]
    .sort(([, a], [, b]) => a.place - b.place || b.count - a.count)
    .map(([text, { moves }]) => ({ text: phrase(text), moves }))
}

/** Moves that are only in what is to be a surprise. */
function surpriseMoves({ sections, lanes }: Pick<Publication, 'sections' | 'lanes'>): Set<string> {
  const surprises = new Set(sections.filter((s) => s.surprise).map((s) => s.id))
  const steps = lanes.flatMap((lane) => lane.steps)
  const shown = new Set(steps.filter((s) => !surprises.has(s.section)).map((s) => s.move))
  return new Set(
    steps.filter((s) => surprises.has(s.section)).flatMap((s) => (s.move && !shown.has(s.move) ? [s.move] : [])),
  )
}
