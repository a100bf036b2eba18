import { type Play, type Publication } from '@esfuerzo/core/publication'
import { type PlayedStep } from '@esfuerzo/core/run'
import type { PlayerWords } from '../player/useWords.ts'

/** What a form's own screen gets during one of its steps. */
export interface FormScreen<P = Play> {
  play: P
  step: PlayedStep
  digits: string | number
  heading: string
  publication: Publication
  words: PlayerWords
  /** Seconds of one cycle of the figure. */
  cycle: number
  paused: boolean
  pace: number
}
