import { limits } from '../../base/limits.ts'
import type { IntervalsBlock, Lap } from './schema.ts'
import { sameValue } from '../../base/sameValue.ts'
import { fact, forAll, secondsFact, withField } from '../../notation/facts.ts'
import type { FormNotation } from '../../notation/formNotation.ts'
import { betweenLapsFact, travelFact } from '../../notation/commonFacts.ts'

const pair = /^(\d{1,4})\s*(?:s|secs?)?\s*\/\s*(\d{1,4})\s*(?:s|secs?)?$/i
const count = '(\\d{1,2})\\s*(?:laps?|rounds?|times|x)|x\\s*(\\d{1,2})'
const before = new RegExp(`^(?:${count})(?:\\s*(?:of|at|:))?(?:\\s+|(?=\\d)|$)`, 'i')
const after = new RegExp(`(?:^|\\s+)(?:${count})$`, 'i')

/** `3 laps 30/30`, `20/10 x8`, or one pair per lap: `30/30, 60/45, 60/30`. */
function readLaps(text: string, base: Lap[] | undefined): Lap[] | undefined {
  const front = before.exec(text)
  const back = front ? null : after.exec(text)
  const middle = front ? text.slice(front[0].length) : back ? text.slice(0, back.index) : text
  const written = front ?? back
  const laps = written && Number(written[1] ?? written[2])
  const pairs = middle.trim() === '' ? [] : middle.split(',').map((p) => pair.exec(p.trim()))
  if (pairs.includes(null) || (pairs.length === 0 && laps === null)) return undefined
  const read = pairs.map((m): Lap => ({ work: Number(m![1]), rest: Number(m![2]) }))
  const n = laps ?? (read.length > 1 ? read.length : (base?.length ?? 1))
  if (n < 1 || n > limits.laps || read.some((lap) => lap.work < 1 || lap.work > limits.seconds)) return undefined
  const known = read.length ? read : (base ?? [{ work: 30, rest: 30 }])
  return Array.from({ length: n }, (_, i) => known[Math.min(i, known.length - 1)]!)
}

function printLaps(laps: Lap[], base?: Lap[]): string {
  const alike = laps.every((lap) => sameValue(lap, laps[0]))
  const text = (lap: Lap) => `${lap.work}/${lap.rest}`
  if (!alike) return laps.map(text).join(', ')
  const many = `${laps.length} ${laps.length === 1 ? 'lap' : 'laps'}`
  return base?.length === laps.length ? text(laps[0]!) : `${many} ${text(laps[0]!)}`
}

/** By the clock. */
export const intervalsNotation: FormNotation<IntervalsBlock> = {
  opens: new RegExp(`^(?:(?:${count})\\s*(?:of|at|:)?\\s*)?\\d{1,4}\\s*s?\\s*/\\s*\\d{1,4}|^\\d{1,2}\\s*laps?\\b`, 'i'),
  facts: [
    fact<IntervalsBlock, Lap[]>({
      id: 'laps',
      get: (b) => b.laps,
      set: (b, laps) => (laps ? { ...b, laps } : b),
      read: readLaps,
      print: printLaps,
    }),
    secondsFact<IntervalsBlock>('lapRest', {
      print: 'lap rest',
      words: 'lap rest|rest between laps|between laps',
      optional: 60,
    }),
    fact<IntervalsBlock, boolean>({
      id: 'lastRest',
      field: { kind: 'flag' },
      get: (b) => forAll(b.lastRest === undefined ? undefined : !b.lastRest),
      set: (b, value) => withField(b, 'lastRest', value?.all ? false : undefined),
      read: (text) => (/^(?:no|without) (?:the )?(?:very )?last rest$/i.test(text) ? true : undefined),
      print: () => 'no last rest',
      silent: (none) => !none,
    }),
    fact<IntervalsBlock, boolean>({
      id: 'sideSlots',
      field: { kind: 'flag' },
      get: (b) => forAll(b.sideSlots === undefined ? undefined : b.sideSlots === 2),
      set: (b, value) => withField(b, 'sideSlots', value?.all ? 2 : undefined),
      read: (text) => (/^(?:a |one )?(?:turn|slot) (?:for )?each side$/i.test(text) ? true : undefined),
      print: () => 'a turn each side',
      silent: (two) => !two,
    }),
    fact<IntervalsBlock, number>({
      id: 'pick',
      field: { kind: 'count', min: 1, max: limits.stations },
      optional: 6,
      get: (b) => b.pick,
      set: (b, value) => withField(b, 'pick', value),
      read: (text) => {
        const match = /^(?:pick|choose) (?:any )?(\d{1,3})$/i.exec(text)
        const n = match ? Number(match[1]) : 0
        return n >= 1 && n <= limits.stations ? n : undefined
      },
      print: (n) => `pick ${n}`,
    }),
    travelFact<IntervalsBlock>(),
    betweenLapsFact<IntervalsBlock>(),
  ],
}
