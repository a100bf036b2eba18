import type { Found, Level, Rule, RuleFamily, RuleId } from './rule.ts'
import { saidSo, type Said } from './said.ts'
import type { CheckView } from './view.ts'

/** A rule about the teacher's own words, which a fix can take out again. */
export interface WordRule extends Rule {
  pattern: RegExp
}

/**
 * A rule that looks for words, in English and in Spanish.
 *
 * @param only where the words matter at all; left out, everywhere
 */
export const wordRule = (
  id: RuleId,
  level: Level,
  family: RuleFamily,
  pattern: RegExp,
  only: (said: Said, view: CheckView) => boolean = () => true,
): WordRule => ({
  id,
  level,
  family,
  pattern,
  find: (view) =>
    view.said.flatMap((said): Found[] => {
      const words = saidSo(said.text, pattern)
      return words !== undefined && only(said, view) ? [{ where: said.where, groups: [], facts: { words } }] : []
    }),
})
