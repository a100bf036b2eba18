import type { Block } from '../session/forms.ts'
import type { Travel } from '../session/blockParts.ts'
import type { TestId } from '../terms/measure.ts'
import { canonical, valueFor, type PerGroup } from '../terms/perGroup.ts'
import { fact, secondsOf, secondsPattern, printSeconds, withField, forAll, type Fact } from './facts.ts'

/** Words for measurements. */
export const testWords: Record<TestId, [print: string, words: string]> = {
  pulse: ['pulse', 'pulse|heart ?rate'],
  restingPulse: ['resting pulse', 'resting (?:pulse|heart ?rate)'],
  pulseAfter: ['pulse a minute after', '(?:pulse a minute after|recovery pulse)'],
  sitAndReach: ['sit and reach', 'sit ?(?:and|&|-)? ?reach'],
  oneLegStand: ['one-leg stand', '(?:one|single)[- ]leg(?:ged)? (?:stand|balance)|stork(?: stand)?'],
  plankHold: ['plank hold', 'plank(?: hold| test)'],
  wallSit: ['wall sit', 'wall[- ]?sit(?: hold| test)?'],
  pressUps30: ['press-ups in 30 s', '(?:press|push)[- ]?ups? in 30(?: ?s(?:ec)?(?:onds)?)?'],
  sitToStands30: ['sit-to-stands in 30 s', '(?:sit[- ]to[- ]stands?|chair stands?)(?: in 30(?: ?s(?:ec)?(?:onds)?)?)?'],
  lineJumps15: ['line jumps in 15 s', 'line jumps?(?: in 15(?: ?s(?:ec)?(?:onds)?)?)?'],
  longJump: ['standing long jump', '(?:standing )?(?:long|broad) jump'],
  sideSteps20: ['side steps over three tapes', 'side[- ]steps?(?: over three tapes)?'],
  twoMinuteMarch: ['two-minute march', '(?:two|2)[- ]min(?:ute)? (?:march|step(?: test)?)'],
  sockThrows20: ['sock throws of twenty', 'sock throws?(?: of (?:twenty|20))?'],
  hold: ['hold', 'longest hold|hold'],
  reps30: ['reps in 30 s', 'reps? in 30(?: ?s(?:ec)?(?:onds)?)?'],
}

/** The measurement of some words: `sit & reach`; undefined if there is none. */
export function readTest(text: string): TestId | undefined {
  const entry = Object.entries(testWords).find(([, [, words]]) => new RegExp(`^(?:${words})$`, 'i').test(text.trim()))
  return entry?.[0] as TestId | undefined
}

/** `pulse between laps` */
export const betweenLapsFact = <B extends Block>(): Fact<B> =>
  fact<B, TestId>({
    id: 'betweenLaps',
    field: {
      kind: 'choice',
      choices: ['', 'pulse', 'hold'],
    },
    get: (b) => forAll(b.betweenLaps),
    set: (b, value) => withField(b, 'betweenLaps', value?.all || undefined),
    read: (text) => {
      const match = /^(.+?) between (?:laps|rounds)$/i.exec(text)
      return match ? readTest(match[1]!) : undefined
    },
    print: (test) => `${testWords[test][0]} between laps`,
  })

type Travelling = Block & { travel?: Travel }
const travelPattern = new RegExp(`^travel\\s+(?:"([^"]*)"\\s*)?${secondsPattern}$`, 'i')

/** `travel "round the far cone and back" 10 s` */
export const travelFact = <B extends Travelling>(): Fact<B> =>
  fact<B, number>({
    id: 'travel',
    field: { kind: 'seconds', min: 1, step: 5 },
    optional: 10,
    get: (b) => b.travel?.seconds,
    set: (b, seconds) => withField(b, 'travel', seconds && { how: b.travel?.how ?? '', seconds }),
    read: (text, base) => {
      const match =
        travelPattern.exec(text) ?? (base === undefined ? null : new RegExp(`^()${secondsPattern}$`, 'i').exec(text))
      const n = match ? secondsOf(match[2]!, match[3]) : 0
      return n > 0 ? n : undefined
    },
    print: (n, base) => (base === undefined ? `travel ${printSeconds(n)}` : printSeconds(n)),
  })

interface Ends {
  from: number
  to: number
}
type WithEnds = Block & { from: PerGroup<number>; to: PerGroup<number> }

/**
 * Two ends that may differ by group, written as one: `ladder 1-10`, `levels 4-6`.
 *
 * @param word printed before them
 * @param most the largest either may be
 */
export function endsFact<B extends WithEnds>(word: string, most: number): Fact<B> {
  const pattern = new RegExp(`^(?:${word}\\s*)?(\\d{1,3})(?:\\s*(?:-|to)\\s*(\\d{1,3}))?$`, 'i')
  const endOf = (value: PerGroup<Ends>, end: keyof Ends): PerGroup<number> =>
    canonical({
      all: value.all[end],
      by: value.by && Object.fromEntries(Object.entries(value.by).map(([id, v]) => [id, v[end]])),
    })
  return fact<B, Ends>({
    id: 'ends',
    get: ({ from, to }) => {
      const ids = [...new Set([...Object.keys(from.by ?? {}), ...Object.keys(to.by ?? {})])]
      const own = ids.map((id): [string, Ends] => [id, { from: valueFor(from, id), to: valueFor(to, id) }])
      return canonical({ all: { from: from.all, to: to.all }, by: Object.fromEntries(own) })
    },
    set: (b, value) => (value ? { ...b, from: endOf(value, 'from'), to: endOf(value, 'to') } : b),
    read: (text) => {
      const match = pattern.exec(text)
      const [from, to] = [Number(match?.[1]), Number(match?.[2] ?? match?.[1])]
      return match && from >= 1 && to >= 1 && Math.max(from, to) <= most ? { from, to } : undefined
    },
    print: ({ from, to }, base) => `${base ? '' : `${word} `}${from}-${to}`,
  })
}

/** What a result is a number of: reps, left out, or seconds. */
export const unitFact = <B extends Block & { unit: 'reps' | 'seconds' }>(): Fact<B> =>
  fact<B, 'reps' | 'seconds'>({
    id: 'unit',
    field: {
      kind: 'choice',
      choices: ['reps', 'seconds'],
    },
    get: (b) => forAll(b.unit),
    set: (b, value) => (value ? { ...b, unit: value.all } : b),
    read: (text) =>
      /^(?:in )?sec(?:ond)?s$/i.test(text) ? 'seconds' : /^(?:in )?reps$/i.test(text) ? 'reps' : undefined,
    print: (unit) => unit,
    silent: (unit) => unit === 'reps',
  })
