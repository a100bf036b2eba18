import type { FormWords } from '../../words/sentences.ts'

/** Its English sentences, by code. */
export const relayEn = {
  'relay.change': () => 'Change!',
  'relay.other': (_, name) => `Now your partner: ${name}`,
} satisfies FormWords<'relay'>
