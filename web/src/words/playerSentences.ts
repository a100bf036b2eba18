import playerEn from '../player/locales/en.json'
import { createSentences, type Sentences } from '../shared/sentences.ts'

/** The player's words where a teacher tries a session: in English, as her pages are. */
export const playerSentences = (): Sentences => createSentences('en', playerEn)
