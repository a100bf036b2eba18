import type { Lap } from '../forms/intervals/schema.ts'
import type { TestId } from '../terms/measure.ts'
import type { Scope } from '../terms/perGroup.ts'
import type { Block } from './forms.ts'

/** Laps of work and rest for one group. */
export interface Clock {
  laps: readonly Lap[]
  /** Replaces a lap's last rest, between laps. */
  lapRest?: number | undefined
  /** How many of the rows a child picks. */
  pick?: number | undefined
  /** Whether an exercise done on each side takes two slots. */
  twoSlots: boolean
}

/** What others ask about a form, answered by the form itself: nobody else may look at which form a block has. */
export interface FormTraits<B extends Block> {
  /** Whether the teacher may choose the order of its stations, and nothing else depends on it. */
  freeOrder: boolean
  /** Whether a group returns to the first station for another lap. */
  comesRound: (block: B, groupId: string) => boolean
  /**
   * How many times a group does the stations: laps, rounds, sets, rungs; 1 if they are done once, or if chance or the child decides.
   *
   * @param groupId by default, the shared value
   */
  laps: (block: B, groupId?: string) => number
  /** The name of going through it once, if that can be repeated. */
  lapWord: 'laps' | 'sets' | 'rounds' | 'top'
  /** Where a row's seconds come from: the block's clock, the row's amount (30 s without one), or the form. */
  dose: 'clock' | 'own' | 'open' | 'form'
  /** Sets or rounds of a row, with the weight in the hands. */
  sets?: (block: B, groupId: string) => number
  /** The block as it would continue if only its work ended it; undefined if nothing else does. */
  withoutCap?: (block: B) => B
  /** A clock that gives every row its seconds, for one group. */
  clock?: (block: B, groupId: string) => Clock
  /** Whether it lasts for its time, whatever is done in it. */
  timed?: (block: B) => boolean
  /** Seconds after which a group stops, done or not; undefined if only its work ends it. */
  cap?: (block: B, groupId: string) => number | undefined
  /** Whether its line can be left out if its rows stand alone. */
  goesWithoutSaying?: (block: B) => boolean
  /** The test, its set-up, and when in the lesson it is done. */
  measured?: (block: B) => { test: TestId; setUp: string | undefined; moment: 'before' | 'after' | 'alone' }
  /** Whether it explains what comes after it, and so must come before. */
  explains?: boolean
  /** Whether it is only its rows, one after the other. */
  plainRows?: boolean
  /** Whether each of its rows has a side, suit or number that calls it. */
  faced?: boolean
  /** Whether its rows form a circle: the first row follows the last. */
  circuit?: boolean
  /** Whether only the number counts, against a clock or another child. */
  raced?: boolean
  /** With one lap, round, set, rung or minute less; the same block if it has none to give. */
  oneLess?: (block: B, scope: Scope) => B
  /** The block with one more of them for everybody. */
  oneMore?: (block: B) => B
  /** The block with every lap of its clock changed. */
  withLaps?: (block: B, scope: Scope, change: (lap: Lap) => Lap) => B
  /** With at most this many sets or rounds. */
  setsAtMost?: (block: B, scope: Scope, most: number) => B
  /** With at least this pause between laps or rounds. */
  pauseOf?: (block: B, seconds: number) => B
  /** With at most this many seconds of talk. */
  talkAtMost?: (block: B, scope: Scope, seconds: number) => B
  /** The teacher's own words in it besides title and note, by field. */
  said?: (block: B) => Readonly<Record<string, string | readonly string[]>>
  /** With other words in one of those fields. @param at for a list, which of its lines; an empty text removes it */
  reworded?: (block: B, field: string, text: string, at?: number) => B
}

/** A form with no special traits. */
export const plainTraits = {
  freeOrder: false,
  comesRound: () => false,
  laps: () => 1,
  lapWord: 'rounds',
  dose: 'form',
} satisfies FormTraits<Block>
