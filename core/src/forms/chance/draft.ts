import type { FormDraft } from '../../draft/formDraft.ts'
import { deviceFaces, type ChanceBlock } from './schema.ts'

/** Numbers of draws, close enough together that one fits any minutes; beyond them it goes by the clock. */
const draws = [5, 7, 9, 12, 15, 18, 22, 26].map((n) => ({ kind: 'draws' as const, draws: n }))
const byTheClock = [5, 6, 7, 8, 9, 10, 11, 12, 13].map((n) => ({ kind: 'seconds' as const, seconds: 60 * n }))
const stops = [...draws, ...byTheClock]

/** A coin over two columns, four suits, or a die: the same few exercises, in numbers set by chance. */
export const chanceDraft: FormDraft<ChanceBlock> = {
  intents: ['play'],
  game: true,
  moves: [3, 6],
  sizes: ({ id, ask, moves, row, below }) => {
    const device = (['coin', 'cards', 'dice'] as const)[below(3)]!
    const faces = deviceFaces[device]
    const each = device === 'coin' ? Math.ceil(moves.length / 2) : 1
    const rows = Array.from({ length: faces.length * each }, (_, i) => ({
      move: moves[i % moves.length]!,
      // A repeated exercise comes with another number.
      times: i < moves.length ? 1 : 0.6,
      face: faces[i % faces.length]!,
    }))
    const seed = below(1_000_000)
    return stops.map((stop): ChanceBlock => ({
      id,
      form: 'chance',
      device,
      stations: rows.map(({ move, times, face }) => ({ ...row(move, 'chance', { times }), face })),
      stop,
      turns: ask.home.company === 'together' && below(2) ? 'oneByOne' : 'together',
      seed,
    }))
  },
}
