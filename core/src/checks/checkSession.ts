import type { Library } from '../library/library.ts'
import type { Workout } from '../session/schema.ts'
import { rules } from './registry.ts'
import { levels, type Finding } from './rule.ts'
import { checkView } from './view.ts'

/**
 * What a thoughtful colleague would say to a session: stops first, then looks, then notes, each in the order of the rules.
 *
 * @throws {ProblemError} `unknown-move` or `unknown-version`
 */
export function checkSession(workout: Workout, library: Library): Finding[] {
  const view = checkView(workout, library)
  return rules
    .flatMap((rule) => rule.find(view).map((found): Finding => ({ rule: rule.id, level: rule.level, ...found })))
    .sort((a, b) => levels.indexOf(a.level) - levels.indexOf(b.level))
}
