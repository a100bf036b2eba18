import playerEn from '../player/locales/en.json'
import { createSentences, type Sentences } from '../shared/sentences.ts'

/** The player's words when a teacher tries a session: in English, like her pages. */
export const playerSentences = (): Sentences => createSentences('en', playerEn)
