import type { Session } from '../../session/schema.ts'
import type { Facts, Finding } from '../rule.ts'
import type { CheckView } from '../view.ts'

/** Every kind of edit that can resolve a finding: its file has the same name in camel case. */
export const fixIds = [
  'easier-version',
  'like-move',
  'like-without',
  'leave-out',
  'no-load',
  'lighter',
  'to-the-limit',
  'lap-less',
  'lap-more',
  'true-minutes',
  'more-moving',
  'warm-it',
  'without-cap',
  'walk-first',
  'stretch-it',
  'counter-shape',
  'more-rest',
  'drink-pause',
  'shorter-work',
  'fewer-sets',
  'other-order',
  'easier-words',
  'pick-up',
  'without-words',
  'fewer-results',
  'no-stand-in',
  'stretch-later',
  'talk-first',
  'shorter-talk',
  'without-aim',
  'hide-title',
] as const
export type FixId = (typeof fixIds)[number]

/** A fix: the kind of edit, its numbers and names, and how much longer each lane gets, in seconds. */
export interface Fix {
  id: FixId
  facts: Facts
  /** By group. */
  seconds: Record<string, number>
}

/** A fix and the session it produces. */
export interface MadeFix extends Fix {
  session: Session
}

/** The words a fix writes into a session, in the teacher's language. */
export interface FixWords {
  warmUp: string
  coolDown: string
  drink: string
  meetTheMoves: string
  easier: string
  pickUp: string
  surprise: string
}

/** The finding a fix is made for. */
export interface Fixing {
  view: CheckView
  finding: Finding
  /** Ids of the groups it is about; all groups for a finding about the whole session. */
  groups: readonly string[]
  words: FixWords
}

/** One possible edit, not yet tried. */
export interface Candidate {
  facts: Facts
  session: Session
}

/** A kind of edit: the ways to do it, the smallest change first. */
export interface FixMaker {
  id: FixId
  candidates: (fixing: Fixing) => Iterable<Candidate>
}
