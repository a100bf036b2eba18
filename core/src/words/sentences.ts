import type { BaseSayCode, FormSayCode, Say } from '../timing/step.ts'

/** What each code says in one language. `name` is the move, or its name in today's story. */
export type Sentences = Record<BaseSayCode, (params: Say['params'], name: string) => string>

/** What forms of work say of their own, by their code, `form.what`. */
export type FormSentences = Record<FormSayCode, (params: Say['params'], name: string) => string>
