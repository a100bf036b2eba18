import { libraryFor, stationsOf, valueFor, type Library, type Session } from '@esfuerzo/core'
import type { Publication } from '@esfuerzo/core/publication'

/** Facts about what was sent home, for later work: exercises, families, forms, length. */
export interface PublishedFacts {
  moves: string[]
  families: string[]
  forms: string[]
  /** Of the longest lane, in whole minutes, rounded up. */
  minutes: number
}

const minutesOf = ({ lanes }: Pick<Publication, 'lanes'>): number =>
  Math.ceil(Math.max(0, ...lanes.map((lane) => lane.seconds.typical)) / 60)
const familiesOf = (moves: readonly string[], library: Library): string[] => [
  ...new Set(moves.flatMap((id) => library.moves.get(id)?.family ?? [])),
]

/** The facts of a session as it is sent home: what any group does. */
export function factsOf(session: Session, publication: Publication, ours: Library): PublishedFacts {
  const blocks = session.sections.flatMap((s) => s.blocks)
  const done = blocks
    .flatMap((b) => stationsOf(b))
    .flatMap(({ cells }) => session.groups.map(({ id }) => valueFor(cells, id).move))
  const moves = [...new Set(done)].sort()
  return {
    moves,
    families: familiesOf(moves, libraryFor(session, ours)),
    forms: [...new Set(blocks.map((b) => b.form))],
    minutes: minutesOf(publication),
  }
}

/** The facts of a publication of an earlier release, whose forms are unknown. */
export function laterFacts(publication: Publication, library: Library): PublishedFacts {
  const moves = publication.moves.map((m) => m.id)
  return { moves, families: familiesOf(moves, library), forms: [], minutes: minutesOf(publication) }
}
