import highsLoader from 'highs'
import { describe, expect, it } from 'vitest'
import { addStation, stationsOf, type Session } from '@esfuerzo/core'
import { checkSession } from '@esfuerzo/core/checks'
import { putCells } from '@esfuerzo/core/choose'
import { offered, suggested, suggestFor, suggestProblem, type SuggestContext } from '@esfuerzo/core/suggest'
import { isAllowed, pickScore } from '../src/pick/pickProblem.ts'
import { obstacles } from '../src/home/obstacles.ts'
import { library, sessionOf, station } from './sessions.ts'
import { shelf } from './shelf.ts'
import { samples } from './support/samples.ts'
import { solvePicks } from '../src/pick/solvePicks.ts'
import { solvedBy } from './support/solvedBy.ts'

const context: SuggestContext = { lately: new Set(['squat']), known: new Set(['bag-row', 'plank']) }
const sessions = shelf(library).map((s) => s.session)
const inIt = ({ sections }: Session) =>
  new Set(
    sections
      .flatMap((s) => s.blocks)
      .flatMap(stationsOf)
      .map((s) => s.cells.all.move),
  )
const squats = sessionOf([
  {
    id: 'b1',
    form: 'list',
    restAfter: { all: 0 },
    stations: [station('squat', 'squat', { dose: { unit: 'reps', amount: 60 } })],
  },
])

describe('suggestions for a place', () => {
  it('are as good as exhaustive search over every pair', () => {
    for (const session of sessions.slice(0, samples(3, 40)))
      for (const place of suggestFor) {
        const { problem } = suggestProblem(session, place, 2, context, library)
        const answer = solvePicks(problem)!
        const { candidates } = problem
        let best = -Infinity
        for (let i = 0; i < candidates.length; i++)
          for (let j = i + 1; j < candidates.length; j++) {
            const picks = [candidates[i]!, candidates[j]!]
            if (isAllowed(picks, problem)) best = Math.max(best, pickScore(picks, problem))
          }
        expect(answer.score).toBeCloseTo(best, 6)
        expect(answer.ids).toHaveLength(2)
      }
  })

  it('fit the home and every group, are new to the session, and add no fix or advice', () => {
    for (const session of sessions.slice(0, samples(4, 40)))
      for (const place of suggestFor) {
        const found = suggestProblem(session, place, 3, context, library)
        const before = checkSession(session, library).filter((f) => f.level === 'stop').length
        const block = session.sections
          .filter((s) => (place === 'work' ? s.role === 'main' : s.role === place))
          .flatMap((s) => s.blocks)
          .find((b) => 'stations' in b)
        for (const { move: id, reasons } of offered(found, 6)) {
          const move = library.moves.get(id)!
          expect(inIt(session)).not.toContain(id)
          expect(reasons.length).toBeLessThanOrEqual(2)
          expect(move.versions.some((v) => obstacles(move, v, session.home, library).length === 0)).toBe(true)
          if (!block) continue
          const place = { form: block.form, home: session.home }
          const after = addStation(session, block.id, putCells(move, session.groups, place, library))
          expect(checkSession(after, library).filter((f) => f.level === 'stop').length).toBe(before)
        }
      }
  })

  it('name first what is still missing, and what the class knows', () => {
    const [first] = offered(suggestProblem(squats, 'work', 1, context, library), 1)
    expect(first!.reasons.map((r) => r.code)).toEqual(
      expect.arrayContaining([expect.stringMatching(/^first(?:Pull|Push|Core)$/)]),
    )
    const all = offered(suggestProblem(squats, 'work', 1, context, library), 25)
    expect(all.some(({ reasons }) => reasons.some((r) => r.code === 'firstLegs'))).toBe(false)
    expect(all.find(({ move }) => move === 'bag-row')!.reasons).toContainEqual({ code: 'firstPull' })
  })

  it('for several places are as good as an independent solver’s', async () => {
    const highs = await highsLoader()
    for (const session of sessions.slice(0, samples(3, 40)))
      for (const place of suggestFor)
        for (const count of [3, 6]) {
          const { problem } = suggestProblem(session, place, count, context, library)
          const solution = solvePicks(problem)
          expect(solution?.proven).toBe(true)
          expect(solution?.score).toBeCloseTo(solvedBy(highs, problem)!.score, 6)
        }
  })

  it('stretch what worked longest in a cool-down, and start a warm-up with what raises the pulse', () => {
    const solved = (place: 'warmUp' | 'coolDown') => suggested(suggestProblem(squats, place, 2, context, library))
    const long = solved('coolDown').flatMap(({ move }) => library.moves.get(move)!.stretches ?? [])
    expect(long).toEqual(expect.arrayContaining(['quadriceps', 'glutes']))
    expect(solved('warmUp')[0]!.reasons).toContainEqual({ code: 'pulse' })
  })
})
