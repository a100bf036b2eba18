import type { Found, Level, Rule, RuleFamily, RuleId } from './rule.ts'
import { saidSo, type Said } from './said.ts'
import type { CheckView } from './view.ts'

/** A rule about the teacher's own words, which a fix can remove. */
export interface WordRule extends Rule {
  pattern: RegExp
}

/** Where the teacher's words match a pattern. @param groups ids of its groups; none for all */
export const saidOf = ({ said }: CheckView, pattern: RegExp, groups: string[] = []): Found[] =>
  said.flatMap(({ text, where }): Found[] => {
    const words = saidSo(text, pattern)
    return words === undefined ? [] : [{ where, groups, facts: { words } }]
  })

/**
 * A rule that looks for words, in English and in Spanish.
 *
 * @param only where the words matter; everywhere by default
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
  find: (view) => saidOf({ ...view, said: view.said.filter((said) => only(said, view)) }, pattern),
})
