import type { CallsBlock } from './schema.ts'
import { secondsFact } from '../../notation/facts.ts'
import type { FormNotation } from '../../notation/formNotation.ts'

/** `calls every 5 s, for 2 min`; each row has its word, then its exercise: `top: arms up hold`. */
export const callsNotation: FormNotation<CallsBlock> = {
  opens: /^calls?\b/i,
  facts: [
    secondsFact<CallsBlock>('every', {
      print: 'calls every',
      words: 'calls?(?: every)?',
      min: 1,
    }),
    secondsFact<CallsBlock>('seconds', { print: 'for', words: 'for', min: 1, fallback: 'min' }),
  ],
  prefix: {
    read: (word) => ({ storyName: word }),
    print: ({ storyName }) => storyName,
  },
}
