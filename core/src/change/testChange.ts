import { classChange, type ClassChange } from './classChange.ts'
import { onScale, type Scale } from './scale.ts'

/** A child's try of a test on a day. */
export interface Try {
  pupil: string
  day: string
  value: number
}

/** Of each test that can be measured in a session: on what scale it compares. */
export const testScales: Record<string, Scale> = {
  sitAndReach: { kind: 'absolute' },
  hold: { kind: 'ratio' },
  reps30: { kind: 'ratio' },
}

/** What a class's test days come to. */
export interface TestChange extends Omit<ClassChange, 'children'> {
  /** Those who have both days, of all who have one. */
  both: number
  any: number
  kind: Scale['kind']
}

/** The first day of a class is a try-out: kept, and not compared. */
const tryOuts = 1

/**
 * How a class changed between the first day that counts and the last: each child beside itself, the best of its tries on a day, and only
 * where it had as many tries on both, since the best of three is more than the best of two.
 *
 * @param days in their order, the try-out first
 * @returns undefined before the third day, below eight children with both, and for what is no measure of change
 */
export function testChange(test: string, days: readonly string[], tries: readonly Try[]): TestChange | undefined {
  const scale = testScales[test]
  const [before, after] = [days[tryOuts], days.at(-1)]
  if (!scale || before === undefined || after === undefined || before === after) return undefined
  const of = (pupil: string, day: string) =>
    tries
      .filter((t) => t.pupil === pupil && t.day === day && (scale.kind !== 'ratio' || t.value > 0))
      .map((t) => t.value)
  const pupils = [...new Set(tries.filter((t) => t.day === before || t.day === after).map((t) => t.pupil))]
  const changes = pupils.flatMap((pupil) => {
    const [a, b] = [of(pupil, before), of(pupil, after)]
    if (!a.length || a.length !== b.length) return []
    return [onScale(Math.max(...b), scale) - onScale(Math.max(...a), scale)]
  })
  const found = classChange(changes)
  if (!found) return undefined
  const { children, ...rest } = found
  return { ...rest, both: children, any: pupils.length, kind: scale.kind }
}
