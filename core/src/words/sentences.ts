import type { Form } from '../session/forms.ts'
import type { BaseSayCode, Say } from '../timing/step.ts'

/** What a code says. `name` is the move, or its name in today's story. */
export type Sentence = (params: Say['params'], name: string) => string

/** What each code of no form says in one language. */
export type Sentences = Record<BaseSayCode, Sentence>

/** What a form of work says of its own, by its code, `form.what`. */
export type FormWords<F extends Form> = Record<`${F}.${string}`, Sentence>
