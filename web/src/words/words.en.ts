import { errorsInEnglish } from '@esfuerzo/contract'
import { problemsInEnglish } from '@esfuerzo/core'
import { formsEn } from '../forms/labels.en.ts'
import playerEn from '../player/locales/en.json'
import en from './locales/en.json'

/** Everything a teacher reads in English. Another language is another such file, with a line in `words.ts`. */
export const wordsEn = {
  messages: {
    ...en,
    ...playerEn,
    forms: formsEn,
    errors: Object.fromEntries(
      Object.entries(errorsInEnglish).map(([code, { title, detail }]) => [code, `${title}. ${detail}`]),
    ),
  },
  problems: problemsInEnglish,
}
