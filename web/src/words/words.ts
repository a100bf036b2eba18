import { type ProblemWords } from '@esfuerzo/core'
import { wordsEn } from './words.en.ts'

/** What a language for teachers needs. */
export interface TeacherWords {
  messages: typeof wordsEn.messages
  problems: ProblemWords
}

/** The languages available to a teacher, English first. */
export const teacherWords = { en: wordsEn } satisfies Record<string, TeacherWords>
