import { type Form } from '@esfuerzo/core'
import { amrapNoted } from './amrap/noted.ts'
import { targetNoted } from './target/noted.ts'

/** Finds words by key and number, as vue-i18n's `t` does. */
export type CountWords = (key: string, params: Record<string, unknown>, n: number) => string

/** What a number that was tapped counts, by form. */
export const formNoted: { [F in Form]?: (n: number, t: CountWords) => string } = {
  amrap: amrapNoted,
  target: targetNoted,
}
