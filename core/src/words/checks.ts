import type { Finding, RuleId } from '../checks/rule.ts'
import type { Language } from '../terms/language.ts'
import { checksInEnglish, type RuleWords } from './en/checks.ts'
import { checksInSpanish } from './es/checks.ts'

const words: Record<Language, Record<RuleId, RuleWords>> = { en: checksInEnglish, es: checksInSpanish }

/**
 * What a finding says, and why anybody looks there.
 *
 * @example findingText({ rule: 'over-minutes', facts: { by: 90, minutes: 20 }, … }, 'en').what // '1:30 over the 20 minutes.'
 */
export const findingText = (
  { rule, facts }: Pick<Finding, 'rule' | 'facts'>,
  language: Language,
): { what: string; why: string } => {
  const { what, why } = words[language][rule]
  return { what: what(facts), why }
}

/** What a rule is called, and why anybody looks there. @example ruleText('no-water', 'en').title // 'No water' */
export const ruleText = (rule: RuleId, language: Language): { title: string; why: string } => {
  const { title, why } = words[language][rule]
  return { title, why }
}
