import { type Library, type Move, type Version } from '@esfuerzo/core'
import { type Figure } from '@esfuerzo/core/figure'

/** The figure of one version of a move. */
export const figureOf = (
  move: Move,
  version: Version | undefined,
  library: Pick<Library, 'figures'>,
): Figure | undefined => library.figures.get(version?.figure ?? move.figure)

export const standardVersion = (move: Move): Version => move.versions.find((v) => v.id === move.standard)!

/** The figure that represents an exercise. */
export const standardFigure = (move: Move, library: Pick<Library, 'figures'>): Figure | undefined =>
  figureOf(move, standardVersion(move), library)

/** Seconds of one cycle of a version's figure at the led pace. */
export const cycleOf = (version: Version, figure: Figure | undefined): number =>
  version.secondsPerRep * (figure?.reps ?? 1)
