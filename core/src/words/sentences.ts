import type { Form } from '../session/forms.ts'
import type { BaseSayCode, Say } from '../timing/step.ts'

/** The words of a code. `name` is the move, or its name in today's story. */
export type Sentence = (params: Say['params'], name: string) => string

/** The words of each general code in one language. */
export type Sentences = Record<BaseSayCode, Sentence>

/** A form's own sayings, by their code, `form.what`. */
export type FormWords<F extends Form> = Record<`${F}.${string}`, Sentence>
