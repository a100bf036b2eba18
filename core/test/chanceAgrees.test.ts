import { expect, it, vi } from 'vitest'
import { type Chances } from '../src/distribution/chances.ts'
import { seededRandom } from '../src/distribution/seededRandom.ts'
import { timeline, type BlockOf } from '@esfuerzo/core'
import { publish, type PlayOf } from '@esfuerzo/core/publication'
import { drawn, drawOutcome, startChance, taskDone } from '@esfuerzo/core/run'
import { chanceOutlook, quantile } from '@esfuerzo/core/tools'
import { chanceModel, type ChanceModel } from '../src/forms/chance/model.ts'
import { playGame } from '../src/forms/chance/playGame.ts'
import { carryInto } from '../src/timing/lane.ts'
import { defaultPace } from '../src/timing/pace.ts'
import { StepBuilder } from '../src/timing/stepBuilder.ts'
import { library, sessionOf, station, stations } from './sessions.ts'
import { samples } from './support/samples.ts'

const devices = ['coin', 'cards', 'dice', 'toss'] as const
const stops = [
  { kind: 'cleared' },
  { kind: 'draws', draws: 12 },
  { kind: 'seconds', seconds: 400 },
] as const satisfies BlockOf<'chance'>['stop'][]

/** Rows that stand, kneel and lie, with both kinds of dose, after something done lying down. */
const sessionWith = (device: (typeof devices)[number], stop: (typeof stops)[number]) => {
  const block: BlockOf<'chance'> = {
    id: 'b2',
    form: 'chance',
    device,
    stop,
    turns: 'together',
    seed: 4,
    stations: [
      station('squat', 'squat', { dose: { unit: 'reps', amount: 12 } }),
      station('curl-up', 'curl-up', { dose: { unit: 'reps', amount: 8 } }),
      station('plank', 'plank', { dose: { unit: 'seconds', amount: 20 } }),
      station('march', 'march', { dose: { unit: 'reps', amount: 20 } }),
      station('quad-stretch', 'quad-stretch', { dose: { unit: 'seconds', amount: 10 } }),
      ...stations(2),
    ],
  }
  const before: BlockOf<'list'> = {
    id: 'b1',
    form: 'list',
    restAfter: { all: 0 },
    stations: [station('curl-up', 'curl-up')],
  }
  return { block, workout: sessionOf([before, block]) }
}

/** The game as the first group's lane has it. */
function modelOf({ block, workout: session }: ReturnType<typeof sessionWith>): ChanceModel {
  const group = session.groups[0]!
  return chanceModel(
    block,
    new StepBuilder(group, library, defaultPace(group), carryInto(block, group, session, library)),
  )
}

/** One game by the state machine that a child plays with; its tasks last as long as the timing says. */
function played(play: PlayOf<'chance'>, model: ChanceModel, random: () => number) {
  let game = startChance(play)
  let [seconds, draws, stance] = [0, 0, 0]
  const limit = play.stop.kind === 'seconds' ? play.stop.most! : Infinity
  while (!game.over && seconds < limit) {
    game = drawn(game, play, drawOutcome(game, play, random))
    seconds += model.draw
    draws++
    for (let task = game.drawn!.tasks[0]; task; task = game.drawn?.tasks[0]) {
      const [face, index] = task.row.split(':')
      const row = model.faces.find((f) => f.face === face)!.rows[Number(index)]!
      const number = task.amount === undefined ? 0 : play.device === 'cards' ? task.amount - 1 : task.amount
      seconds += model.changes[stance]![row.stance]! + row.tasks[number]!
      stance = row.stance
      game = taskDone(game, play)
    }
  }
  return { seconds, draws }
}

/** Whether games agree with a distribution, within four standard errors at its 5 %, 50 % and 95 % points. */
function expectAgreement(games: readonly number[], chances: Chances) {
  const upTo = (most: number) => games.filter((n) => n <= most).length / games.length
  for (const share of [0.05, 0.5, 0.95]) {
    const point = quantile(chances, share)
    const error = 4 * Math.sqrt((share * (1 - share)) / games.length)
    expect(upTo(point)).toBeGreaterThanOrEqual(share - error)
    expect(upTo(point - 1)).toBeLessThanOrEqual(share + error)
  }
}

const all = devices.flatMap((device) => stops.map((stop) => [device, stop.kind, stop] as const))
it.each(all)('%s, until %s: exact, simulated, played by a child, and in the lane, give the same', (device, _, stop) => {
  const { block, workout: session } = sessionWith(device, stop)
  const group = session.groups[0]!
  const model = modelOf({ block, workout: session })
  const { seconds, draws } = chanceOutlook(block, group, session, library)
  const play = publish(session, library).lanes[0]!.plays[block.id] as PlayOf<'chance'>
  const count = samples(2000, 20_000)
  const [forSimulation, forPlayer] = [seededRandom(11), seededRandom(12)]
  const simulated = Array.from({ length: count }, () => playGame(model, forSimulation))
  const byChildren = Array.from({ length: count }, () => played(play, model, forPlayer))
  for (const games of [simulated, byChildren]) {
    expectAgreement(
      games.map((game) => game.draws),
      draws,
    )
    if (stop.kind !== 'seconds')
      expectAgreement(
        games.map((game) => game.seconds),
        seconds,
      )
  }
  const steps = timeline(session, group.id, library).filter((s) => s.block === block.id)
  for (const [end, share] of [
    ['low', 0.05],
    ['typical', 0.5],
    ['high', 0.95],
  ] as const)
    expect(steps.reduce((sum, s) => sum + s.seconds[end], 0)).toBe(quantile(seconds, share))
})

it('gives the same for a game whatever was asked before it', async () => {
  const fresh = async () => {
    vi.resetModules()
    return (await import('../src/forms/chance/gameSeconds.ts')).gameSeconds
  }
  const model = modelOf(sessionWith('cards', { kind: 'draws', draws: 12 }))
  const ofDraws = (draws: number): ChanceModel => ({ ...model, stop: { kind: 'draws', draws } })
  const alone = (await fresh())(ofDraws(20))
  const gameSeconds = await fresh()
  for (const draws of [90, 40, 3]) gameSeconds(ofDraws(draws))
  expect([...gameSeconds(ofDraws(20))]).toEqual([...alone])
  expect([...gameSeconds(ofDraws(21))]).not.toEqual([...alone])
})
