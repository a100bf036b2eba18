import { type LibraryData } from '@esfuerzo/core'
import beginningsData from './beginnings.json'
import animals from './figures/animals.json'
import balances from './figures/balances.json'
import calmFigures from './figures/calm.json'
import danceFigures from './figures/dance.json'
import floor from './figures/floor.json'
import figureGames from './figures/games.json'
import gymFigures from './figures/gym.json'
import handlingFigures from './figures/handling.json'
import jumping from './figures/jumping.json'
import leaning from './figures/leaning.json'
import objects from './figures/objects.json'
import seatedFigures from './figures/seated.json'
import standing from './figures/standing.json'
import strengthFigures from './figures/strength.json'
import stretching from './figures/stretching.json'
import weights from './figures/weights.json'
import effort from './effort.json'
import kit from './kit.json'
import balanceMeasures from './measures/balance.json'
import chosenMeasures from './measures/chosen.json'
import countMeasures from './measures/counts.json'
import holdMeasures from './measures/holds.json'
import jumpMeasures from './measures/jumps.json'
import pulseMeasures from './measures/pulse.json'
import reachMeasures from './measures/reach.json'
import throwMeasures from './measures/throws.json'
import animalMoves from './moves/animals.json'
import balanceMoves from './moves/balances.json'
import breathing from './moves/breathing.json'
import core from './moves/core.json'
import dance from './moves/dance.json'
import games from './moves/games.json'
import gym from './moves/gym.json'
import handling from './moves/handling.json'
import jumps from './moves/jumps.json'
import legs from './moves/legs.json'
import looseners from './moves/looseners.json'
import objectMoves from './moves/objects.json'
import pulse from './moves/pulse.json'
import seated from './moves/seated.json'
import stretches from './moves/stretches.json'
import upper from './moves/upper.json'
import muscles from './muscles.json'

/**
 * The content as it lies in its files. Its shape is proven by a test that reads every file with core's
 * `readLibrary`. The version goes up with each change a saved session could notice.
 */
export const libraryData = {
  version: 6,
  moves: [
    ...pulse,
    ...looseners,
    ...legs,
    ...jumps,
    ...upper,
    ...core,
    ...animalMoves,
    ...balanceMoves,
    ...objectMoves,
    ...handling,
    ...dance,
    ...gym,
    ...seated,
    ...games,
    ...stretches,
    ...breathing,
  ],
  figures: [
    ...standing,
    ...jumping,
    ...floor,
    ...leaning,
    ...weights,
    ...animals,
    ...balances,
    ...objects,
    ...figureGames,
    ...calmFigures,
    ...danceFigures,
    ...gymFigures,
    ...handlingFigures,
    ...seatedFigures,
    ...strengthFigures,
    ...stretching,
  ],
  muscles,
  kit,
  effort,
  measures: [
    ...reachMeasures,
    ...countMeasures,
    ...jumpMeasures,
    ...balanceMeasures,
    ...holdMeasures,
    ...throwMeasures,
    ...pulseMeasures,
    ...chosenMeasures,
  ],
} as unknown as LibraryData

/** A session ready to be changed: one of the trade's common forms, as whiteboard text. */
export interface Beginning {
  id: string
  name: string
  /** What it is, in a line. */
  about: string
  text: string
}

/** Beginnings; all names and words are ours. A test reads every one. */
export const beginnings: readonly Beginning[] = beginningsData.map(({ text, ...rest }) => ({
  ...rest,
  text: text.join('\n'),
}))
