import { bandOf, type Band } from '../checks/limits.ts'
import type { Home, Session } from '../session/schema.ts'
import type { Station } from '../session/station.ts'
import type { RulePolicies } from '../terms/checkLevel.ts'
import type { Builds } from '../terms/builds.ts'
import type { Group } from '../terms/group.ts'
import type { Policy } from '../terms/settings.ts'

/** What a draft is for: one skill built up, work by a clock, or a game and chance. The aim is the same. */
export const intents = ['learn', 'work', 'play'] as const
export type Intent = (typeof intents)[number]

/** The parts a draft picks moves for. */
export type DraftPart = 'warmUp' | 'main' | 'coolDown'

/** A row she keeps while the rest is drafted again. */
export interface HeldRow {
  part: DraftPart
  station: Station
}

/** What a session is wanted for. */
export interface DraftAsk {
  aim: Builds
  /** 5 to 60. */
  minutes: number
  groups: readonly Group[]
  home: Home
  /** The last two sessions that were sent home, the latest last. */
  recent: readonly Session[]
  /** Ids of moves her classes were sent before; where there are none yet, nothing counts as new. */
  known: ReadonlySet<string>
  hold?: Policy['hold'] | undefined
  policies?: RulePolicies | undefined
  /** Another seed, another draft. */
  seed: number
  held?: { [I in Intent]?: readonly HeldRow[] } | undefined
}

/** How much of everything a draft holds. Trade's. */
export interface Room {
  /** The lowest band of its groups. */
  band: Band
  /** Different moves in work, and stretches; breathing is none. */
  moves: number
  /** Of them in the main part, and before it besides the skill. */
  main: number
  warmUp: number
  stretches: number
  /** Moves the class has not met. */
  fresh: number
  /** A game beside the main part. */
  game: boolean
  /** Two main parts of different kind. */
  two: boolean
  /** The youngest end earlier. */
  youngEarlier: boolean
}

const mostMoves = [6, 8, 10] as const
/** The minutes up to which a session is short, middling; from which it has a game, five moves in its main part, two main parts. */
const [short, middling, withGame, roomy, long] = [10, 15, 15, 18, 25]

/** How much of everything a session for these groups and minutes holds. @example roomOf({ minutes: 20, groups: K–1 }).moves // 6 */
export function roomOf({ minutes, groups }: Pick<DraftAsk, 'minutes' | 'groups'>): Room {
  const band = bandOf(groups.flatMap((g) => g.grades))
  const moves = minutes <= short ? 5 : mostMoves[band]
  const stretches = minutes <= short ? 1 : minutes <= middling || band === 0 ? 2 : 3
  const warmUp = moves - stretches >= 6 ? 2 : 1
  return {
    band,
    moves,
    // Where there are two main parts the game may be a move of its own.
    main: Math.max(3, Math.min(minutes < roomy ? 4 : 5, moves - stretches - warmUp - (minutes > long ? 1 : 0))),
    warmUp,
    stretches,
    fresh: minutes < 12 ? 1 : band === 0 ? 2 : 3,
    game: minutes >= withGame,
    two: minutes > long,
    youngEarlier: minutes >= withGame,
  }
}
