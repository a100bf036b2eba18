import { copyOfMove, type Library, type Move, type OwnMove, type Version } from '@esfuerzo/core'
import { type Figure } from '@esfuerzo/core/figure'

/** The effort a teacher chooses, and the MET value it ranks by (ours, after the Compendium's light, moderate and vigorous calisthenics). */
export const efforts = { light: 2.8, moderate: 3.8, hard: 6, veryHard: 8 } as const
export type Effort = keyof typeof efforts

/** The word nearest to a version's value. */
export const effortOf = (met: number): Effort =>
  (Object.keys(efforts) as Effort[]).reduce((best, word) =>
    Math.abs(efforts[word] - met) < Math.abs(efforts[best] - met) ? word : best,
  )

/** A new exercise: like standing in place, with one version. @param id starts with `own-` */
export const blankMove = (id: string, name: string): OwnMove => ({
  move: {
    id,
    name,
    synonyms: [],
    family: 'squat',
    category: 'bodyAwareness',
    effort: 'ours',
    builds: ['strength'],
    muscles: { main: [], also: [] },
    posture: 'standing',
    sides: 'both',
    measures: ['reps', 'seconds'],
    space: 'spot',
    noise: 'quiet',
    kit: [],
    versions: [{ id: 'first', name, how: '…', fromGrade: 0, secondsPerRep: 2, met: efforts.light, impact: 0 }],
    standard: 'first',
    cues: ['…'],
    faults: [],
    cautions: [],
    figure: 'squat',
  },
  figures: [],
})

/** A copy of an exercise to change, or a new one. @param id starts with `own-` */
export const draftFrom = (move: Move | undefined, id: string, name: string): OwnMove =>
  move ? copyOfMove(move, id, name) : blankMove(id, name)

/** One more version, like the last one, a little harder. */
export function addVersion({ move, figures }: OwnMove, name: string): OwnMove {
  const last = move.versions.at(-1)!
  const taken = new Set(move.versions.map((v) => v.id))
  const id = ['first', 'second', 'third', 'fourth', 'fifth', 'sixth'].find((word) => !taken.has(word))!
  return { figures, move: { ...move, versions: [...move.versions, { ...last, id, name }] } }
}

/** An exercise without one of its versions; the last one stays, and if the standard version is removed the first takes its place. */
export function removeVersion({ move, figures }: OwnMove, id: string): OwnMove {
  const versions = move.versions.filter((v) => v.id !== id)
  if (versions.length === 0) return { move, figures }
  const standard = versions.some((v) => v.id === move.standard) ? move.standard : versions[0]!.id
  return withoutLooseFigures({ figures, move: { ...move, versions, standard } })
}

/** An exercise with one of its versions changed. */
export const setVersion = ({ move, figures }: OwnMove, id: string, change: Partial<Version>): OwnMove => ({
  figures,
  move: { ...move, versions: move.versions.map((v) => (v.id === id ? { ...v, ...change } : v)) },
})

/**
 * A version with its own figure to draw: a copy of its current one.
 *
 * @param id of the new figure; starts with `own-`
 */
export function drawOwnFigure(own: OwnMove, version: string, id: string, library: Pick<Library, 'figures'>): OwnMove {
  const { move, figures } = own
  const found = move.versions.find((v) => v.id === version)
  const model = found && figureIn(own, found, library)
  if (!model || model.id.startsWith('own-')) return own
  // It is drawn from one side: a second view of its old poses would show the old exercise.
  const { second: _, ...drawn } = model
  return setVersion({ move, figures: [...figures, { ...drawn, id }] }, version, { figure: id })
}

export const setFigure = ({ move, figures }: OwnMove, figure: Figure): OwnMove => ({
  move,
  figures: figures.map((f) => (f.id === figure.id ? figure : f)),
})

/** Without figures that no version uses any more. */
export function withoutLooseFigures({ move, figures }: OwnMove): OwnMove {
  const used = new Set([move.figure, ...move.versions.flatMap((v) => v.figure ?? [])])
  return { move, figures: figures.filter((f) => used.has(f.id)) }
}

/** A version's figure: drawn for it, or the library's. */
export function figureIn(
  { move, figures }: OwnMove,
  version: Version,
  library: Pick<Library, 'figures'>,
): Figure | undefined {
  const id = version.figure ?? move.figure
  return figures.find((f) => f.id === id) ?? library.figures.get(id)
}
