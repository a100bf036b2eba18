import type { PlayOf } from '../publication/playSchema.ts'
import type { Unit } from '../terms/units.ts'

/** One station as paper shows it to a lane. */
export interface SheetRow {
  /** Its station's id; what a game asks for on a miss has none. */
  station?: string
  name: string
  /** How many or how long; the empty string where a clock or the child says. */
  dose: string
  /** Whether it is done on each side. */
  eachSide: boolean
  /** What to do, said to a child: the version's own words, then the first cues. */
  cues: string[]
  /** The teacher's own words for it, and for what is easier and harder. */
  note?: string
  easier?: string
  harder?: string
  /** Id of its figure in the publication. */
  figure?: string
  /** The side of the coin, suit or number that calls it, in a game of chance. */
  face?: string
  /** Boxes to write in: one a lap, set or round; one where chance or the child says how often it comes. */
  boxes: number
  /** What the boxes are for, where the session asks for a result. */
  record?: Unit
  /** Kilograms it is done with. */
  kg?: number
}

/** A block as paper shows it. */
export interface SheetBlock {
  id: string
  title?: string
  /** How often it is gone through; once, where chance, a clock or the rungs say how often. */
  times: number
  /** What chance is asked, and until when: a number of draws or seconds. */
  chance?: Pick<PlayOf<'chance'>, 'device' | 'stop'>
  /** How many of the rows are chosen each time. */
  pick?: number
  /** Seconds after which it is over: as many rounds as fit, or as far as one comes. */
  cap?: { seconds: number; asMany: boolean }
  /** Seconds of work and rest by the clock, one pair a lap where laps differ, else one. */
  pace: { work: number; rest: number }[]
  rows: SheetRow[]
  /** Lines of a form without stations: rules, questions, what is measured. */
  lines: string[]
}

export interface SheetSection {
  id: string
  title: string
  surprise: boolean
  seconds: number
  blocks: SheetBlock[]
}
