/** Where a number comes from: printed, known in the trade, remembered, or chosen by us. */
export type SourceKind = 'published' | 'common practice' | 'from memory' | 'ours'

export interface Default {
  value: number
  source: SourceKind
  about: string
}

const table = <K extends string>(entries: Record<K, [value: number, source: SourceKind, about: string]>) =>
  Object.fromEntries(
    Object.entries<[number, SourceKind, string]>(entries).map(([key, [value, source, about]]) => [
      key,
      { value, source, about },
    ]),
  ) as Record<K, Default>

/** Every number the timeline assumes, in one place, each with its source. docs/sources.md is made from it. */
export const timingDefaults = table({
  paceK1: [
    1.25,
    'ours',
    'Pace of kindergarten and grade 1: seconds per rep against grades 4–6. No support in the field until the class’s own runs say better.',
  ],
  pace23: [1.1, 'ours', 'Pace of grades 2–3, as above.'],
  pace46: [1, 'ours', 'Pace of grades 4–6: the measure of the others.'],
  quick: [0.75, 'ours', 'A quick child’s share of the typical seconds in work not led by a clock.'],
  slow: [1.35, 'ours', 'A slow child’s share of the typical seconds in work not led by a clock.'],
  tempoLed: [1, 'ours', 'Work counted by an adult or the figure.'],
  tempoOwn: [1.15, 'ours', 'Work at the child’s own pace.'],
  tempoSlow: [2, 'common practice', '“Down … and up”: slow, counted movement.'],
  changeSame: [
    1,
    'common practice',
    'Seconds from one move to the next in the same posture, or between standing and leaning.',
  ],
  changeKneel: [3, 'common practice', 'Seconds to or from kneeling or hands and feet.'],
  changeFloor: [4, 'common practice', 'Seconds to or from sitting or lying.'],
  changeThing: [3, 'common practice', 'Seconds for each thing put down or taken up.'],
  switchSide: [1, 'common practice', 'Seconds to change sides in counted work.'],
  breath: [6, 'common practice', 'Seconds of one slow breath.'],
  breathK1: [5, 'common practice', 'Seconds of one slow breath, kindergarten and grade 1.'],
  explainMove: [15, 'common practice', 'Seconds to explain a move children have not met.'],
  coinDraw: [12, 'common practice', 'Seconds to flip a coin, fetch it and look up its row.'],
  cardDraw: [8, 'common practice', 'Seconds to draw and read a card.'],
  throwOne: [4, 'common practice', 'Seconds of one throw of a die or a soft thing.'],
  collect: [15, 'common practice', 'Seconds to collect what was thrown, a round.'],
  think: [8, 'common practice', 'Seconds to work out a sum.'],
  thinkK1: [12, 'common practice', 'Seconds to work out a sum, kindergarten and grade 1.'],
  question: [20, 'common practice', 'Seconds of a quiz question.'],
  call: [3, 'common practice', 'Seconds to hear a call and get into it.'],
  writeScore: [5, 'common practice', 'Seconds to write a score down.'],
  amrapFade: [0.04, 'ours', 'How much longer each round after the second takes than the one before.'],
  explainVersion: [8, 'common practice', 'Seconds for each further version shown.'],
})

/** @example defaultOf('changeFloor') // 4 */
export const defaultOf = (key: keyof typeof timingDefaults): number => timingDefaults[key].value
