import { createI18n } from 'vue-i18n'
import { problemSentence as sentence, problemText as text, type Problem, type ProblemWords } from '@esfuerzo/core'
import { lastFault } from '../shared/lastFault.ts'
import { teacherWords, type TeacherWords } from './words.ts'

const messages = Object.fromEntries(
  Object.entries(teacherWords).map(([language, words]) => [language, words.messages]),
) as { [L in keyof typeof teacherWords]: TeacherWords['messages'] }

/** The teacher's words, English first. */
export const i18n = createI18n({
  legacy: false,
  locale: 'en',
  fallbackLocale: 'en',
  messages,
})

const problemWords = (): ProblemWords => teacherWords[i18n.global.locale.value].problems

// An operator is told which line of the server's log it was.
i18n.global.setPostTranslationHandler((text, key) =>
  key === 'errors.unexpected' && lastFault.value
    ? `${String(text)} ${i18n.global.t('faultNumber', { number: lastFault.value })}`
    : text,
)

/** A problem in the teacher's language, with its place. */
export const problemText = (problem: Problem): string => text(problem, problemWords())

/** A problem in the teacher's language, next to its field. */
export const problemSentence = (problem: Problem): string => sentence(problem, problemWords())
