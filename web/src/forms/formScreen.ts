import type { PlayedStep, Play, Publication } from '@esfuerzo/core'
import type { Words } from '../player/useWords.ts'

/** What a form's own screen is given while one of its steps is on. */
export interface FormScreen<P = Play> {
  play: P
  step: PlayedStep
  digits: string | number
  heading: string
  publication: Publication
  words: Words
  /** Seconds of one cycle of the figure. */
  cycle: number
  paused: boolean
  pace: number
}
