import type { Lap } from '../forms/intervals/schema.ts'
import type { TestId } from '../terms/measure.ts'
import type { Scope } from '../terms/perGroup.ts'
import type { Block } from './forms.ts'

/** Laps of work and rest for one group. */
export interface Clock {
  laps: readonly Lap[]
  /** In place of a lap's last rest, between laps. */
  lapRest?: number | undefined
  /** How many of the rows a child picks. */
  pick?: number | undefined
  /** Whether a move done on each side takes two slots. */
  twoSlots: boolean
}

/** What others ask of a form, answered by the form itself: nobody else looks at which form a block has. */
export interface FormTraits<B extends Block> {
  /** Whether the order of its stations is the teacher's to choose, and nothing else hangs on it. */
  freeOrder: boolean
  /** Whether a group comes round to the first station again. */
  comesRound: (block: B, groupId: string) => boolean
  /**
   * How many times a group comes to the stations: laps, rounds, sets, rungs; 1 where they are done once, or where chance or the
   * child says how often.
   *
   * @param groupId left out, what stands for all
   */
  laps: (block: B, groupId?: string) => number
  /** What going through it once is called, where that can be turned. */
  lapWord: 'laps' | 'sets' | 'rounds' | 'top'
  /** Where a row's seconds come from: the block's own clock, the row's dose, half a minute where it has none, or the form. */
  dose: 'clock' | 'own' | 'open' | 'form'
  /** Sets or rounds a row is done in, with whatever weight is in the hands. */
  sets?: (block: B, groupId: string) => number
  /** The block as it would go on if nothing but its work ended it; undefined where nothing else does. */
  withoutCap?: (block: B) => B
  /** A clock that gives every row its seconds, for one group. */
  clock?: (block: B, groupId: string) => Clock
  /** Whether it goes on for its time, whatever is done in it. */
  timed?: (block: B) => boolean
  /** Seconds after which a group stops, done or not; undefined where nothing but its work ends it. */
  cap?: (block: B, groupId: string) => number | undefined
  /** Whether its line goes without saying where its rows stand by themselves. */
  goesWithoutSaying?: (block: B) => boolean
  /** The test it is, how that is set up, and when in the lesson. */
  measured?: (block: B) => { test: TestId; setUp: string | undefined; moment: 'before' | 'after' | 'alone' }
  /** Whether it explains what comes after it, and so goes before. */
  explains?: boolean
  /** Whether it is nothing but its rows, one after the other. */
  plainRows?: boolean
  /** Whether each of its rows stands under a side, suit or number that calls it. */
  faced?: boolean
  /** Whether its rows are neighbours in a circle: who does one comes from the one before. */
  circuit?: boolean
  /** Whether only the number counts, against a clock or another child. */
  raced?: boolean
  /** With a lap, a round, a set, a rung or a minute less; the same block where it has none to give. */
  oneLess?: (block: B, scope: Scope) => B
  /** With one more of them for everybody. */
  oneMore?: (block: B) => B
  /** With every lap of its clock changed. */
  withLaps?: (block: B, scope: Scope, change: (lap: Lap) => Lap) => B
  /** With so many sets or rounds at most. */
  setsAtMost?: (block: B, scope: Scope, most: number) => B
  /** With so long a pause at least between laps or rounds. */
  pauseOf?: (block: B, seconds: number) => B
  /** With so many seconds of talk at most. */
  talkAtMost?: (block: B, scope: Scope, seconds: number) => B
  /** What it says in the teacher's own words besides its title and note, by field. */
  said?: (block: B) => Readonly<Record<string, string | readonly string[]>>
  /** With other words in one of those fields. @param at of a list, which of its lines; an empty text takes it out */
  reworded?: (block: B, field: string, text: string, at?: number) => B
}

/** A form about which there is nothing to say. */
export const plainTraits = {
  freeOrder: false,
  comesRound: () => false,
  laps: () => 1,
  lapWord: 'rounds',
  dose: 'form',
} satisfies FormTraits<Block>
