import type { TalkBlock } from './schema.ts'
import { fact, secondsOf, secondsPattern, printSeconds } from '../../notation/facts.ts'
import type { FormNotation } from '../../notation/formNotation.ts'

const words = new RegExp(`^(?:(?:talk|explain|show|drink|water|fetch kit|fetch)\\s*:?\\s*)?${secondsPattern}$`, 'i')

/** `talk 45 s` */
export const talkNotation: FormNotation<TalkBlock> = {
  opens: /^(?:talk|explain|show|drink|water|fetch)\b/i,
  facts: [
    fact<TalkBlock, number>({
      id: 'seconds',
      field: { kind: 'seconds', min: 0, step: 5 },
      get: (b) => b.seconds,
      set: (b, seconds) => (seconds ? { ...b, seconds } : b),
      read: (text) => {
        const match = words.exec(text)
        return match ? secondsOf(match[1]!, match[2]) : undefined
      },
      print: (n, base) => (base === undefined ? `talk ${printSeconds(n)}` : printSeconds(n)),
    }),
  ],
}
