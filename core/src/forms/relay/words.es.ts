import type { Sentence } from '../../words/sentences.ts'
import type { relayEn } from './words.en.ts'

/** Its Spanish sentences, by code. */
export const relayEs: Record<keyof typeof relayEn, Sentence> = {
  'relay.change': () => '¡Cambio!',
  'relay.other': (_, name) => `Ahora la otra persona: ${name}`,
}
