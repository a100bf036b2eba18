import type { Move } from '../terms/move.ts'
import type { DraftPart } from './ask.ts'

/** The sections of a draft, each with its one block, by what they are for. */
export const places = {
  warmUp: { section: 'p1', block: 'b1' },
  taught: { section: 'p5', block: 'b5' },
  main: { section: 'p2', block: 'b2' },
  drink: { section: 'p8', block: 'b8' },
  game: { section: 'p6', block: 'b6' },
  pause: { section: 'p7', block: 'b7' },
  second: { section: 'p3', block: 'b3' },
  coolDown: { section: 'p4', block: 'b4' },
  news: { section: 'p9', block: 'b9' },
} as const

/** Which part the moves of a section were picked for. */
const partOf = new Map<string, DraftPart>([
  [places.warmUp.section, 'warmUp'],
  [places.main.section, 'main'],
  [places.second.section, 'main'],
  [places.game.section, 'main'],
  [places.coolDown.section, 'coolDown'],
])
export const partOfSection = (section: string): DraftPart | undefined => partOf.get(section)

/**
 * The part a row of a draft was picked for: then it can be kept while the rest is drafted again. Undefined for what follows from the
 * rest: what is taught, the game, a second main part, the walk at the end, the breaths.
 */
export function pickedPart(section: string, move: Move): DraftPart | undefined {
  const follows: readonly string[] = [places.game.section, places.second.section]
  const part = follows.includes(section) ? undefined : partOfSection(section)
  return part === 'coolDown' && !move.stretches ? undefined : part
}
