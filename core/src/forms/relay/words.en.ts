import type { FormWords } from '../../words/sentences.ts'

/** What is said of it in English, by code. */
export const relayEn = {
  'relay.change': () => 'Change!',
  'relay.other': (_, name) => `Now the other one: ${name}`,
} satisfies FormWords<'relay'>
