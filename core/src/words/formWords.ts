import { amrapEn } from '../forms/amrap/words.en.ts'
import { amrapEs } from '../forms/amrap/words.es.ts'
import { callsEn } from '../forms/calls/words.en.ts'
import { callsEs } from '../forms/calls/words.es.ts'
import { chanceEn } from '../forms/chance/words.en.ts'
import { chanceEs } from '../forms/chance/words.es.ts'
import { gameEn } from '../forms/game/words.en.ts'
import { gameEs } from '../forms/game/words.es.ts'
import { intervalsEn } from '../forms/intervals/words.en.ts'
import { intervalsEs } from '../forms/intervals/words.es.ts'
import { quizEn } from '../forms/quiz/words.en.ts'
import { quizEs } from '../forms/quiz/words.es.ts'
import { relayEn } from '../forms/relay/words.en.ts'
import { relayEs } from '../forms/relay/words.es.ts'
import { sumsEn } from '../forms/sums/words.en.ts'
import { sumsEs } from '../forms/sums/words.es.ts'
import { targetEn } from '../forms/target/words.en.ts'
import { targetEs } from '../forms/target/words.es.ts'
import type { Language } from '../terms/language.ts'
import type { Sentence } from './sentences.ts'

const en = {
  ...amrapEn,
  ...callsEn,
  ...chanceEn,
  ...gameEn,
  ...intervalsEn,
  ...quizEn,
  ...relayEn,
  ...sumsEn,
  ...targetEn,
}
const es: Record<keyof typeof en, Sentence> = {
  ...amrapEs,
  ...callsEs,
  ...chanceEs,
  ...gameEs,
  ...intervalsEs,
  ...quizEs,
  ...relayEs,
  ...sumsEs,
  ...targetEs,
}

/** The forms' own sayings, by their code, `form.what`; the compiler requires every code in every language. */
export const formSentences: Record<Language, Record<string, Sentence>> = { en, es }
