import type { PlayOf } from '../publication/playSchema.ts'
import type { Unit } from '../terms/units.ts'

/** One station as a printed sheet shows it to a lane. */
export interface SheetRow {
  /** Its station's id; the task after a miss in a game has none. */
  station?: string
  name: string
  /** How many or how long; empty if a clock or the child decides. */
  dose: string
  /** Whether it is done on each side. */
  eachSide: boolean
  /** Instructions for the child: the version's own words, then the first cues. */
  cues: string[]
  /** The teacher's own words for it, and for what is easier and harder. */
  note?: string
  easier?: string
  harder?: string
  /** Id of its figure in the publication. */
  figure?: string
  /** The side of the coin, suit or number that calls it, in a game of chance. */
  face?: string
  /** Boxes to write in: one per lap, set or round; one if chance or the child decides how often it comes. */
  boxes: number
  /** What the boxes are for, if the session asks for a result. */
  record?: Unit
  /** Kilograms it is done with. */
  kg?: number
}

/** A block as a printed sheet shows it. */
export interface SheetBlock {
  id: string
  title?: string
  /** How often it is repeated; once if chance, a clock or the rungs decide. */
  times: number
  /** What chance uses, and how long: a number of draws or seconds. */
  chance?: Pick<PlayOf<'chance'>, 'device' | 'stop'>
  /** How many of the rows are chosen each time. */
  pick?: number
  /** Seconds after which it ends: as many rounds as fit, or as far as the child gets. */
  cap?: { seconds: number; asMany: boolean }
  /** Seconds of timed work and rest: one pair per lap if laps differ, otherwise one. */
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
