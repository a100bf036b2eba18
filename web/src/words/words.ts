import { type ProblemWords } from '@esfuerzo/core'
import { wordsEn } from './words.en.ts'

/** What a language of the teacher's needs. */
export interface TeacherWords {
  messages: typeof wordsEn.messages
  problems: ProblemWords
}

/** The languages a teacher may have the pages in, English first. */
export const teacherWords = { en: wordsEn } satisfies Record<string, TeacherWords>
