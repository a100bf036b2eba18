import { describe, expect, it } from 'vitest'
import { stepCues } from '../src/cues/stepCues.ts'
import { stepLimit } from '../src/run/player.ts'
import { addGroup, addStation, newSession, timeline, type Cell, type Home } from '@esfuerzo/core'
import { proposeQuiz, putMove } from '@esfuerzo/core/choose'
import { parse } from '@esfuerzo/core/notation'
import { publish } from '@esfuerzo/core/publication'
import { courseOf } from '@esfuerzo/core/run'
import { library } from './sessions.ts'

/** Numbers and choices of our own, each tested: with others it would be another product. */
const home: Home = { space: 'run', quiet: false, company: 'together', kit: [], standIns: {}, outdoors: false }
const move = (id: string) => library.moves.get(id)!
const typed = (...lines: string[]) => {
  const { workout: session, problems } = parse(['# x', 'groups 4-6', '## Main part', ...lines].join('\n'), library)
  expect(problems).toEqual([])
  return session
}

const quizWords = {
  meaning: (word: string) => `What does “${word}” mean?`,
  worked: (muscle: string) => `Which muscle worked: the ${muscle}?`,
  helps: (move: string) => `${move}: what helps?`,
  otherMeanings: ['a kind of ball game', 'how loud you are'],
}

it('half-way is called for slots from twenty seconds, and never for a side of a split one', () => {
  const work = (seconds: number, more = {}) =>
    stepCues(
      { kind: 'work', by: 'clock', seconds: { low: seconds, typical: seconds, high: seconds }, ...more },
      seconds,
    )
  const halves = (cues: ReturnType<typeof work>) => cues.filter((c) => c.kind === 'half').map((c) => c.at)
  expect([19, 20, 30].map((s) => halves(work(s)))).toEqual([[], [10], [15]])
  expect(halves(work(30, { side: 'first' }))).toEqual([])
})

it('a question without a clock waits as long as the child takes', () => {
  const session = typed('squat 10', '### Reach', 'measure sit and reach before')
  const step = courseOf(publish(session, library), ['g1']).lanes[0]!.steps.find((s) => s.kind === 'measure')
  expect(stepLimit(step!)).toBe(Infinity)
})

it('of five tossed things three fall left and two right', () => {
  const steps = timeline(typed('toss 5, 1 round: jumping jack | squat'), 'g1', library)
  expect(steps.filter((s) => s.kind === 'work').map((s) => [s.move, s.reps])).toEqual([
    ['jumping-jack', 3],
    ['squat', 2],
  ])
})

it('a new, younger lane gets no later lap that is too hard for it', () => {
  const hard = move('squat-jump').versions.at(-1)!
  expect(hard.fromGrade).toBeGreaterThan(0)
  const cell: Cell = {
    move: 'squat-jump',
    version: move('squat-jump').versions[0]!.id,
    fromLap: [
      { lap: 2, dose: { unit: 'reps', amount: 5 } },
      { lap: 3, version: hard.id },
    ],
  }
  const session = addStation(newSession('x', [[6]], 20, 1), 'b2', { all: cell })
  const next = addGroup(session, [0], library)
  const block = next.sections.flatMap((s) => s.blocks).find((b) => b.id === 'b2')!
  const cells = 'stations' in block ? block.stations[0]!.cells : undefined
  expect(cells?.by?.[next.groups[1]!.id]?.fromLap).toEqual([cell.fromLap![0]])
})

describe('an exercise put into a cell', () => {
  const place = { form: 'list', home } as const
  const loaded: Cell = {
    move: 'squat',
    version: 'squat',
    dose: { unit: 'reps', amount: 7 },
    load: { kg: 2 },
    tempo: 'slow',
  }
  const loadable = [...library.moves.values()].find((m) => m.loadable && m.measures.includes('reps'))!
  const bare = [...library.moves.values()].find((m) => !m.loadable && m.measures.includes('reps'))!

  it('keeps a dose it accepts, a load it can hold, and the tempo', () => {
    expect(putMove(loaded, loadable, { grades: [5] }, place, library)).toMatchObject({
      dose: loaded.dose,
      load: loaded.load,
      tempo: 'slow',
    })
    expect(putMove(loaded, bare, { grades: [5] }, place, library)).not.toHaveProperty('load')
  })

  it('gets each group’s own version, and the school’s hold for stretches', () => {
    expect(putMove(undefined, move('squat-jump'), { grades: [0, 1] }, place, library).version).toBe('frog')
    expect(putMove(undefined, move('squat-jump'), { grades: [4, 5] }, place, library).version).toBe('squat-jump')
    for (const cell of [undefined, loaded])
      expect(putMove(cell, move('quad-stretch'), { grades: [4] }, { ...place, hold: '30' }, library).dose).toEqual({
        unit: 'seconds',
        amount: 30,
      })
  })
})

it('the right answer of a proposed quiz has no fixed position', () => {
  const quiz = proposeQuiz(typed('squat 10', 'lunge 8', 'plank 20 s'), library, quizWords)
  const others = ['pogo jump 10', 'march 20 s', 'push-up 5', 'side plank 10 s'].flatMap((line) =>
    proposeQuiz(typed(line, 'squat 10'), library, quizWords),
  )
  const all = [...quiz, ...others]
  for (const { answers, right } of all) expect(answers[right]).toBeDefined()
  expect(new Set(all.map((q) => q.right)).size).toBeGreaterThan(1)
})
