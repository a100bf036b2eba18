import { describe, expect, it } from 'vitest'
import { cautionsShown, gatheredCautions, indexLibrary, type Block, type Session } from '@esfuerzo/core'
import { publish } from '@esfuerzo/core/publication'
import { libraryData } from '@esfuerzo/library'
import { demoSessions, demoSession } from '../../server/src/demo/sessions.ts'
import { library, sessionOf, station } from './sessions.ts'

const same = (text: string) => text
const list = (...moves: string[]) => ({
  id: 'b1',
  form: 'list' as const,
  restAfter: { all: 0 },
  stations: moves.map((move) =>
    station(move, library.moves.get(move)!.standard, {
      dose: { unit: library.moves.get(move)!.measures[0]!, amount: 5 },
    }),
  ),
})
const gathered = (session: Session) => gatheredCautions(publish(session, library), same)

describe('cautions of a session', () => {
  it('are shown once, with the exercises they are for', () => {
    const cautions = gathered(sessionOf([list('pogo', 'hop', 'plank')]))
    expect(new Set(cautions.map((c) => c.text)).size).toBe(cautions.length)
    const shoes = cautions.find((c) => c.text.startsWith('Wear shoes'))!
    expect(shoes.moves).toEqual(['Pogo jump', 'One-leg hop'])
    expect(cautions.find((c) => c.text.startsWith('If a wrist'))!.moves).toEqual(['Plank'])
  })

  it('come in order: first what an exercise puts first, then what applies to most', () => {
    const cautions = gathered(sessionOf([list('pogo', 'hop', 'skip', 'push-up')]))
    expect(cautions[0]!.text).toMatch(/^Wear shoes/)
    expect(cautions[1]!.text).toMatch(/^Use a real wall/)
  })

  it('name no exercise of a surprise, but show its caution', () => {
    const session = sessionOf([list('hop')])
    const [section] = session.sections
    const secret = { ...session, sections: [{ ...section!, surprise: true }] }
    const cautions = gathered(secret)
    expect(cautions.length).toBeGreaterThan(1)
    expect(cautions.flatMap((c) => c.moves)).toEqual([])
  })

  it('include those of tests, and name no test of a surprise', () => {
    const test = {
      id: 'b2',
      form: 'measure' as const,
      test: 'longJump' as const,
      moment: 'alone' as const,
      trials: { all: 2 },
    }
    const session = sessionOf([list('plank'), test])
    const asked = library.measures.get('longJump')!
    for (const caution of asked.cautions)
      expect(gathered(session).find((c) => c.text === caution)!.moves).toContain(asked.name)
    const [section] = session.sections
    const secret = gathered({ ...session, sections: [{ ...section!, surprise: true }] })
    expect(secret.map((c) => c.text)).toEqual(expect.arrayContaining(asked.cautions))
    expect(secret.flatMap((c) => c.moves)).toEqual([])
  })

  it('name exercises that only chance may bring, unless they are the surprise', () => {
    const coin = {
      ...list('squat'),
      id: 'b2',
      form: 'chance' as const,
      device: 'coin' as const,
      seed: 1,
      stop: { kind: 'draws' as const, draws: 1 },
      oneByOne: false,
      stations: (['heads', 'tails'] as const).map((face) => ({
        ...station(face === 'heads' ? 'hop' : 'plank', face === 'heads' ? 'hop' : 'plank', {
          dose: { unit: face === 'heads' ? ('reps' as const) : ('seconds' as const), amount: 5 },
        }),
        face,
      })),
    }
    const session = sessionOf([list('squat')])
    const [section] = session.sections
    const named = (surprise: boolean) => {
      const game = {
        id: 'p2',
        role: 'game' as const,
        title: 'Coin',
        blocks: [coin as unknown as Block],
        ...(surprise && { surprise }),
      }
      const open = {
        id: 'p3',
        role: 'game' as const,
        title: 'x',
        blocks: [{ ...list('march'), id: 'b3' }],
        surprise: true,
      }
      return gathered({ ...session, sections: [section!, game, ...(surprise ? [] : [open])] }).flatMap((c) => c.moves)
    }
    expect(named(true)).not.toContain('One-leg hop')
    expect(named(true)).not.toContain('Plank')
    expect(named(false)).toEqual(expect.arrayContaining(['One-leg hop', 'Plank']))
  })

  it('are in Spanish for a family that reads Spanish', () => {
    const [first] = gatheredCautions(publish(sessionOf([list('hop')]), library), (text) => `es ${text}`)
    expect(first).toMatchObject({ moves: ['es One-leg hop'] })
    expect(first!.text).toMatch(/^es /)
  })

  it('fit on the front page for every demo session, with at most as many again behind it', () => {
    const whole = indexLibrary(libraryData)
    for (const session of demoSessions) {
      const workout = demoSession(session, whole)
      const cautions = gatheredCautions(publish(workout, whole), same)
      expect(cautions.length, workout.title).toBeLessThanOrEqual(cautionsShown * 3)
    }
  })
})
