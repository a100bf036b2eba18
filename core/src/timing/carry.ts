import { startStance, type Stance } from './changeOver.ts'

/** What one block passes on to the next: the child's position, the unused part of the last rest, the sums asked. */
export interface Carry {
  stance: Stance
  /** Seconds of the rest just taken that getting into position may still use. */
  rested: number
  /** Sums asked so far: none is repeated in a session. */
  asked: ReadonlySet<string>
}

/** Nothing asked yet. */
export const noneAsked: ReadonlySet<string> = new Set<string>()

/** A session starts standing, with no rest. */
export const startCarry: Carry = { stance: startStance, rested: 0, asked: noneAsked }

/** A key that is equal for two ways into a block in which the child is in the same state. */
export const carryKey = ({ stance: { posture, held, begun }, rested, asked }: Carry): string =>
  `${posture} ${held.join()} ${begun} ${rested}${asked.size ? ` ${[...asked].join()}` : ''}`

/** Whether two ways into a block leave the child in the same state. */
export const isSameCarry = (a: Carry, b: Carry): boolean => a === b || carryKey(a) === carryKey(b)
