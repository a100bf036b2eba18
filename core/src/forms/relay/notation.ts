import { fact, secondsFact } from '../../notation/facts.ts'
import type { FormNotation } from '../../notation/formNotation.ts'
import { limits } from '../../base/limits.ts'
import { newRelay, type RelayBlock } from './schema.ts'

const whole = /^(?:partner )?relay(?:\s*:?\s*(\d{1,2})\s*(?:x\s*)?(?:rounds?|times)?)?$/i
const bare = /^(\d{1,2})\s*(?:rounds?|times)?$/i

/** `relay 2 rounds, change 3 s` */
export const relayNotation: FormNotation<RelayBlock> = {
  opens: /^(?:partner )?relay\b/i,
  facts: [
    fact<RelayBlock, number>({
      id: 'rounds',
      field: { kind: 'count', min: 1, max: limits.laps },
      get: (b) => b.rounds,
      set: (b, rounds) => (rounds ? { ...b, rounds } : b),
      read: (text, base) => {
        const match = whole.exec(text) ?? (base === undefined ? null : bare.exec(text))
        if (!match) return undefined
        const n = Number(match[1] ?? newRelay('').rounds.all)
        return n >= 1 && n <= limits.laps ? n : undefined
      },
      print: (n, base) => `${base === undefined ? 'relay ' : ''}${n} ${n === 1 ? 'round' : 'rounds'}`,
    }),
    secondsFact<RelayBlock>('change', {
      print: 'change',
      words: 'change(?: over)?',
      silent: (n) => n === newRelay('').change.all,
    }),
  ],
}
