import { measuredIn } from './measuredIn.ts'
import type { Play, PlayedTurn } from './playSchema.ts'
import type { Publication } from './schema.ts'

/** A caution, with the exercises it is for. */
export interface Caution {
  text: string
  /** Names of exercises and tests, except those of a surprise. */
  moves: string[]
}

/** How many are shown before a run; the others follow them. */
export const cautionsShown = 7

/**
 * The cautions of a session's exercises and tests, each once with what it applies to: first those an exercise lists first, then those that
 * apply to most of them.
 *
 * @param phrase a text of the publication in the reader's language
 * @example gatheredCautions(publication, (text) => text)[0] // { text: 'Shoes on, …', moves: ['Pogo jump', 'Hop'] }
 */
export function gatheredCautions(
  publication: Pick<Publication, 'sections' | 'moves' | 'lanes' | 'measures'>,
  phrase: (text: string) => string,
): Caution[] {
  const hidden = surprises(publication)
  const gathered = new Map<string, { place: number; count: number; moves: string[] }>()
  for (const move of [...publication.moves, ...(publication.measures ?? [])])
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

/**
 * Exercises and tests that may be a surprise: in a session with a surprise, all except those that are visible elsewhere, in a step, in what
 * a child draws or chooses, or in a measurement.
 */
function surprises({
  sections,
  moves,
  measures = [],
  lanes,
}: Pick<Publication, 'sections' | 'moves' | 'lanes' | 'measures'>): Set<string> {
  if (!sections.some((s) => s.surprise)) return new Set()
  const open = sections.filter((s) => !s.surprise)
  const ids = new Set(open.map((s) => s.id))
  const shown = new Set(
    lanes.flatMap((lane) => lane.steps.flatMap((s) => (ids.has(s.section) && s.move ? [s.move] : []))),
  )
  for (const { id } of open.flatMap((s) => s.blocks))
    for (const { plays } of lanes) {
      const play = plays[id]
      for (const { move } of turnsOf(play)) shown.add(move)
      const measured = measuredIn(play)
      if (measured) shown.add(measured.test)
    }
  return new Set([...moves, ...measures].flatMap(({ id }) => (shown.has(id) ? [] : [id])))
}

/** What a child draws or chooses in a block. */
function turnsOf(play: Play | undefined): readonly PlayedTurn[] {
  if (!play) return []
  return 'table' in play ? play.table.flatMap(({ turns }) => turns) : 'turns' in play ? play.turns : []
}
