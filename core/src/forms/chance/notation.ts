import { deviceFaces, type ChanceBlock, type Device } from './schema.ts'
import { fact, forAll, secondsOf, secondsPattern, printSeconds } from '../../notation/facts.ts'
import type { FormNotation } from '../../notation/formNotation.ts'

const deviceWords: Record<Device, RegExp> = {
  coin: /^(?:flip (?:a )?)?coin$/i,
  cards: /^(?:deck(?: of)? )?cards?$/i,
  dice: /^(?:dice|die)$/i,
  toss: /^toss(?: (?:five|5))?$/i,
}
const until = new RegExp(`^for ${secondsPattern}$`, 'i')

/** `coin`, `cards, 20 draws`, `toss 5, 3 rounds`; columns in one line with `|` between them. */
export const chanceNotation: FormNotation<ChanceBlock> = {
  opens: /^(?:flip a )?(?:coin|cards?|deck|dice|die|toss)\b/i,
  columns: ({ device }) => deviceFaces[device],
  facts: [
    fact<ChanceBlock, Device>({
      id: 'device',
      field: {
        kind: 'choice',
        choices: ['coin', 'cards', 'dice', 'toss'],
      },
      get: (b) => forAll(b.device),
      set: (b, value) => (value ? { ...b, device: value.all } : b),
      read: (text) => (Object.keys(deviceWords) as Device[]).find((d) => deviceWords[d].test(text)),
      print: (device) => (device === 'toss' ? 'toss 5' : device),
    }),
    fact<ChanceBlock, ChanceBlock['stop']>({
      id: 'stop',
      get: (b) => forAll(b.stop),
      set: (b, value) => (value ? { ...b, stop: value.all } : b),
      read: (text) => {
        if (/^until (?:all|both|every).*$/i.test(text)) return { kind: 'cleared' }
        const draws = /^(\d{1,3}) (?:draws?|flips?|cards?|throws?|rounds?|tosses)$/i.exec(text)
        const n = Number(draws?.[1])
        if (draws && n >= 1 && n <= 200) return { kind: 'draws', draws: n }
        const time = until.exec(text)
        const seconds = time ? secondsOf(time[1]!, time[2], 'min') : 0
        return seconds >= 1 && seconds <= 3600 ? { kind: 'seconds', seconds } : undefined
      },
      print: (stop) =>
        stop.kind === 'cleared'
          ? 'until all are done'
          : stop.kind === 'draws'
            ? `${stop.draws} draws`
            : `for ${printSeconds(stop.seconds)}`,
      silent: (stop) => stop.kind === 'cleared',
    }),
    fact<ChanceBlock, ChanceBlock['turns']>({
      id: 'turns',
      field: {
        kind: 'choice',
        choices: ['together', 'oneByOne'],
      },
      get: (b) => forAll(b.turns),
      set: (b, value) => (value ? { ...b, turns: value.all } : b),
      read: (text) => (/^(?:one by one|take turns|in turns)$/i.test(text) ? 'oneByOne' : undefined),
      print: () => 'in turns',
      silent: (turns) => turns === 'together',
    }),
  ],
  prefix: {
    /** The face in front of a row: `heads: squat 10`. */
    read: (word, block) => {
      const face = faceWords[word.toLowerCase()]
      return face && (deviceFaces[block.device] as readonly string[]).includes(face) ? { face } : undefined
    },
    print: ({ face }) => face,
  },
}

const faceWords: Record<string, NonNullable<ChanceBlock['stations'][number]['face']>> = {
  ...Object.fromEntries(Object.values(deviceFaces).flatMap((list) => list.map((face) => [face, face]))),
  1: 'one',
  2: 'two',
  3: 'three',
  4: 'four',
  5: 'five',
  6: 'six',
}
