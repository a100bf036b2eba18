import { type Form } from '@esfuerzo/core'
import { amrapNoted } from './amrap/noted.ts'
import { targetNoted } from './target/noted.ts'
import type { CountWords } from '../shared/countWords.ts'

/** What a tapped number counts, by form. */
export const formNoted: { [F in Form]?: (n: number, t: CountWords) => string } = {
  amrap: amrapNoted,
  target: targetNoted,
}
