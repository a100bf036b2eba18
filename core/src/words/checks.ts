import type { Facts, RuleId, TermRuleId } from '../checks/rule.ts'
import type { Language } from '../terms/language.ts'
import { checksInEnglish, type RuleWords } from './en/checks.ts'
import { termChecksInEnglish } from './en/termChecks.ts'
import { checksInSpanish } from './es/checks.ts'
import { termChecksInSpanish } from './es/termChecks.ts'

const words: Record<Language, Record<RuleId | TermRuleId, RuleWords>> = {
  en: { ...checksInEnglish, ...termChecksInEnglish },
  es: { ...checksInSpanish, ...termChecksInSpanish },
}

/**
 * A finding's sentence, and why it matters.
 *
 * @example findingText({ rule: 'over-minutes', facts: { by: 90, minutes: 20 }, … }, 'en').what // '1:30 over the 20 minutes.'
 */
export const findingText = (
  { rule, facts }: { rule: RuleId | TermRuleId; facts: Facts },
  language: Language,
): { what: string; why: string } => {
  const { what, why } = words[language][rule]
  return { what: what(facts), why }
}

/** A rule's title, and why it matters. @example ruleText('no-water', 'en').title // 'No water' */
export const ruleText = (rule: RuleId | TermRuleId, language: Language): { title: string; why: string } => {
  const { title, why } = words[language][rule]
  return { title, why }
}
