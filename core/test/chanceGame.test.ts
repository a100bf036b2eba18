import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { seededRandom } from '../src/distribution/seededRandom.ts'
import { type ChanceGame } from '../src/forms/chance/game.ts'
import { repsOfCard } from '../src/forms/chance/things.ts'
import { type PlayOf } from '@esfuerzo/core/publication'
import { drawn, drawOutcome, startChance, taskDone, type DrawOutcome } from '@esfuerzo/core/run'

const turn = (move: string) => ({ move, version: move, sides: 'both' as const })
const play = (more: Partial<PlayOf<'chance'>> = {}): PlayOf<'chance'> => ({
  form: 'chance',
  device: 'coin',
  stop: { kind: 'cleared' },
  oneByOne: false,
  seed: 1,
  table: [
    { face: 'heads', turns: [turn('squat'), turn('lunge')] },
    { face: 'tails', turns: [turn('plank')] },
  ],
  ...more,
})
/** Draws and does everything until the game is over, or for a number of draws. */
function playOut(play: PlayOf<'chance'>, random: () => number, most = 10_000): { game: ChanceGame; flips: number } {
  let game = startChance(play)
  let flips = 0
  while (!game.over && flips < most) {
    game = drawn(game, play, drawOutcome(game, play, random))
    flips++
    while (game.drawn?.tasks.length) game = taskDone(game, play)
  }
  return { game, flips }
}

describe('a coin sheet', () => {
  it('calls the rows of a column from the top, and asks for another flip if the column is done', () => {
    const heads: DrawOutcome = { face: 'heads' }
    const first = drawn(startChance(play()), play(), heads)
    expect(first.drawn!.tasks.map((t) => t.turn.move)).toEqual(['squat'])
    const second = drawn(taskDone(first, play()), play(), heads)
    expect(second.drawn!.tasks.map((t) => t.turn.move)).toEqual(['lunge'])
    const third = drawn(taskDone(second, play()), play(), heads)
    expect(third.drawn!.tasks).toEqual([])
    expect(third.over).toBe(false)
    const last = taskDone(drawn(third, play(), { face: 'tails' }), play())
    expect(last).toMatchObject({ over: true, draws: 3 })
    expect(drawn(last, play(), heads)).toBe(last)
  })

  it('ends whatever the coin does, with every row done once', () => {
    fc.assert(
      fc.property(fc.integer(), (seed) => {
        const { game } = playOut(play(), seededRandom(seed))
        expect([...game.done].sort()).toEqual(['heads:0', 'heads:1', 'tails:0'])
      }),
    )
  })

  it('takes the flips its closed form says: 6 + 6 rows, 14.707 on average', () => {
    const six = Array.from({ length: 6 }, (_, i) => turn(`m${i}`))
    const sheet = play({
      table: [
        { face: 'heads', turns: six },
        { face: 'tails', turns: six },
      ],
    })
    const random = seededRandom(7)
    const games = 4000
    let flips = 0
    for (let i = 0; i < games; i++) flips += playOut(sheet, random).flips
    // The standard deviation of one sheet is 2.7 (binomial of the later column): four standard errors.
    expect(Math.abs(flips / games - 14.707)).toBeLessThan((4 * 2.9) / Math.sqrt(games))
  })
})

describe('other devices', () => {
  it('a card asks for its number, pictures for ten; the number of draws ends it', () => {
    expect([1, 7, 10, 11, 13].map(repsOfCard)).toEqual([1, 7, 10, 10, 10])
    const cards = play({ device: 'cards', stop: { kind: 'draws', most: 2 } })
    const one = drawn(startChance(cards), cards, { face: 'heads', value: 12 })
    expect(one.drawn!.tasks[0]).toMatchObject({ amount: 10 })
    const { game, flips } = playOut(cards, seededRandom(3))
    expect([game.draws, flips]).toEqual([2, 2])
  })

  it('a pack is dealt to its end before a card repeats, and is then shuffled', () => {
    const faces = ['clubs', 'diamonds', 'hearts', 'spades']
    const cards = play({
      device: 'cards',
      stop: { kind: 'draws', most: 104 },
      table: faces.map((face) => ({ face, turns: [turn('squat')] })),
    })
    const random = seededRandom(5)
    const seen: string[] = []
    let game = startChance(cards)
    while (!game.over) {
      const card = drawOutcome(game, cards, random)
      seen.push(`${card.face} ${card.value}`)
      game = taskDone(drawn(game, cards, card), cards)
    }
    expect(seen).toHaveLength(104)
    expect(new Set(seen.slice(0, 52)).size).toBe(52)
    expect(new Set(seen.slice(52)).size).toBe(52)
  })

  it('a toss takes the exercises of a side in turn, round by round, and has three rounds by default', () => {
    const toss = play({
      device: 'toss',
      stop: { kind: 'cleared' },
      table: [
        { face: 'left', turns: [turn('squat'), turn('march')] },
        { face: 'right', turns: [turn('plank')] },
      ],
    })
    let game = startChance(toss)
    const asked: string[] = []
    while (!game.over) {
      game = drawn(game, toss, { face: 'left', value: 3 })
      for (const { turn } of game.drawn!.tasks) asked.push(turn.move)
      while (game.drawn?.tasks.length) game = taskDone(game, toss)
    }
    expect(asked).toEqual(['squat', 'plank', 'march', 'plank', 'squat', 'plank'])
  })

  it('five things over the line: left reps of one exercise, right of the other, none if none lie there', () => {
    const toss = play({
      device: 'toss',
      stop: { kind: 'seconds', most: 60 },
      table: [
        { face: 'left', turns: [turn('squat')] },
        { face: 'right', turns: [turn('plank')] },
      ],
    })
    const tasks = (value: number) =>
      drawn(startChance(toss), toss, { face: 'left', value }).drawn!.tasks.map((t) => [t.turn.move, t.amount])
    expect(tasks(3)).toEqual([
      ['squat', 3],
      ['plank', 2],
    ])
    expect(tasks(5)).toEqual([['squat', 5]])
    expect(playOut(toss, seededRandom(1), 30).game.over).toBe(false)
    const random = seededRandom(2)
    for (let i = 0; i < 50; i++)
      expect([0, 1, 2, 3, 4, 5]).toContain(drawOutcome(startChance(toss), toss, random).value)
  })
})
