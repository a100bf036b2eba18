import { startStance, type Stance } from './changeOver.ts'

/** What one block leaves to the next: how the child stands, how much of the last rest is still unused, what was asked. */
export interface Carry {
  stance: Stance
  /** Seconds of the rest just taken, which getting into place may use up. */
  rested: number
  /** Sums that were asked so far: none comes twice in a session. */
  asked: ReadonlySet<string>
}

/** Nothing asked yet. */
export const noneAsked: ReadonlySet<string> = new Set<string>()

/** A session starts standing, nothing rested. */
export const startCarry: Carry = { stance: startStance, rested: 0, asked: noneAsked }

/** What is the same for two ways into a block that find the child alike. */
export const carryKey = ({ stance: { posture, held, begun }, rested, asked }: Carry): string =>
  `${posture} ${held.join()} ${begun} ${rested}${asked.size ? ` ${[...asked].join()}` : ''}`

/** Whether two ways into a block find the child alike. */
export const isSameCarry = (a: Carry, b: Carry): boolean => a === b || carryKey(a) === carryKey(b)
