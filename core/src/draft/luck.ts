import { seededRandom } from '../distribution/seededRandom.ts'

/** A whole number from 0 up to `below` for a key: always the same for the same draft. */
export type Luck = (key: string, below: number) => number

/**
 * The luck of one draft: what is as good as another is taken by it, so that drafts have no habit and come again with their seed. Keys are
 * mixed by FNV-1a (Fowler, Noll, Vo; public domain).
 *
 * @example luckOf(1, 'work')('squat', 10) === luckOf(1, 'work')('squat', 10) // true
 */
export function luckOf(seed: number, intent: string): Luck {
  return (key, below) => {
    let hash = 0x811c9dc5
    for (const sign of `${seed} ${intent} ${key}`) hash = Math.imul(hash ^ sign.codePointAt(0)!, 0x01000193)
    return Math.floor(seededRandom(hash)() * below)
  }
}
