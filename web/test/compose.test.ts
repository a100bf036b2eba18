import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { cellsFor } from '../../core/src/library/cellsFor.ts'
import { addStation, newSession, setBlock, setCell, sessionView, type Session } from '@esfuerzo/core'
import en from '../src/words/locales/en.json'
import family from '../src/family/locales/en.json'
import { i18n } from '../src/words/i18n.ts'
import { library } from '../src/repertoire/library.ts'
import { amountText } from '../src/compose/order/cellText.ts'
import { lanePicture, scaleMarks, scaleSeconds } from '../src/compose/lanes/lanes.ts'
import { rowsOf } from '../src/compose/order/rows.ts'
import { useHistory } from '../src/documents/useHistory.ts'
import { stepDose, stepVersion } from '../src/compose/edits/rowEdits.ts'

const { t } = i18n.global

function session(...moves: string[]): Session {
  let session = newSession(
    'Springs',
    [
      [0, 1],
      [2, 3],
      [4, 5, 6],
    ],
    20,
    library.version,
  )
  for (const id of moves)
    session = addStation(session, 'b2', cellsFor(library.moves.get(id)!, session.groups, 'intervals'))
  return session
}

describe('the running order', () => {
  it('draws a shared value once across the groups, and a group’s own separately', () => {
    const rows = rowsOf(session('squat-jump'), library, t)
    const row = rows.find((r) => r.kind === 'station')!
    expect(row.spans.map((s) => [s.groupIds, s.own, s.text, s.dose])).toEqual([
      [['g1'], 'A', 'Hands down, then hop up', '30 s'],
      [['g2', 'g3'], undefined, 'Low, jump high, land low', '30 s'],
    ])
    expect(rows.map((r) => r.kind)).toEqual(['section', 'empty', 'section', 'station', 'section', 'empty'])
  })

  it('splits shared cells if the resulting dose differs, without making them own', () => {
    const workout = setBlock(session('one-leg-stand', 'jog'), 'b2', 'intervals', (b) => ({
      ...b,
      laps: { ...b.laps, by: { g3: [{ work: 41, rest: 20 }] } },
    }))
    const [section, stand, jog] = rowsOf(workout, library, t).slice(2)
    expect(section!.spans.map((s) => [s.own, s.text, s.dose])).toEqual([
      [undefined, '3 laps', '30 / 30'],
      ['C', '1 lap', '41 / 20'],
    ])
    expect(stand!.spans.map((s) => [s.groupIds.length, s.own, s.dose])).toEqual([
      [2, undefined, '15 + 15 s'],
      [1, undefined, '21 + 20 s'],
    ])
    expect(jog!.spans.map((s) => s.dose)).toEqual(['30 s', '41 s'])
  })

  it('names another exercise if a group does one', () => {
    const workout = setCell(session('plank'), 's1', ['g1'], () => ({ move: 'bear-walk', version: 'bear-still' }))
    const row = rowsOf(workout, library, t).find((r) => r.kind === 'station')!
    expect(row.spans[0]!.text).toBe('Bear walk: Lift one paw, then the other')
  })

  it('writes every kind of amount', () => {
    expect([10, { from: 10, to: 15 }, { atLeast: 10 }, { most: 20 }].map((a) => amountText(a, 'seconds', t))).toEqual([
      '10 s',
      '10–15 s',
      'at least 10 s',
      'up to 20 s',
    ])
  })

  it('steps versions and doses within their limits', () => {
    const cell = { move: 'squat-jump', version: 'frog', dose: { unit: 'seconds' as const, amount: 10 } }
    expect([stepVersion(cell, 1).version, stepVersion(cell, -1).version]).toEqual(['squat-jump', 'rise'])
    expect(stepVersion({ ...cell, version: 'tuck-jump' }, 1).version).toBe('tuck-jump')
    expect(
      [stepDose(cell, 1), stepDose(cell, -1), stepDose(stepDose(cell, -1), -1)].map((c) => c.dose!.amount),
    ).toEqual([15, 5, 1])
  })
})

describe('lanes', () => {
  it('are four paths however long the session is', () => {
    const long = session(...Array.from({ length: 30 }, () => 'jog'))
    const picture = lanePicture(sessionView(long, library)[0]!, 0.3, 18)
    expect(Object.keys(picture)).toEqual(['work', 'talk', 'blocks'])
    expect(picture.work.match(/M/g)).toHaveLength(90)
    // Drawn so small that the rests are invisible, neighbors become one bar.
    expect(lanePicture(sessionView(long, library)[0]!, 0.01, 18).work.match(/M/g)).toHaveLength(1)
  })

  it('have a scale that passes the limit and the longest lane, with at most nine marks', () => {
    expect(scaleSeconds(1320, 1400)).toBe(1560)
    for (const minutes of [1, 7, 20, 45, 119]) {
      const scale = scaleSeconds(minutes * 60, 0)
      expect(scale).toBeGreaterThan(minutes * 60)
      expect(scaleMarks(scale).length).toBeLessThanOrEqual(9)
    }
  })
})

it('undo and redo go back and forth over any chain of steps to exactly the same documents', () => {
  fc.assert(
    fc.property(
      fc.array(fc.oneof(fc.integer({ min: 1, max: 9 }), fc.constantFrom('undo' as const, 'redo' as const))),
      (chain) => {
        const history = useHistory<object>({ n: 0 })
        let model = [history.current.value]
        let at = 0
        for (const step of chain) {
          if (step === 'undo') {
            history.undo()
            at = Math.max(0, at - 1)
          } else if (step === 'redo') {
            history.redo()
            at = Math.min(model.length - 1, at + 1)
          } else {
            const next = { n: step }
            history.push(next)
            model = [...model.slice(0, at + 1), next]
            at++
          }
          expect(history.current.value).toBe(model[at])
          expect([history.canUndo.value, history.canRedo.value]).toEqual([at > 0, at < model.length - 1])
        }
      },
    ),
  )
})

it('undoes typing in one field as one step', () => {
  const history = useHistory('a')
  for (const text of ['ab', 'abc']) history.push(text, 'title')
  history.push('abcd', 'other')
  history.undo()
  expect(history.current.value).toBe('abc')
  history.undo()
  expect(history.current.value).toBe('a')
})

describe('words', () => {
  const leaves = (node: object, path = ''): [string, string][] =>
    Object.entries(node).flatMap(([key, value]): [string, string][] =>
      typeof value === 'string' ? [[`${path}${key}`, value]] : leaves(value, `${path}${key}.`),
    )

  it.each([
    ['teacher', en],
    ['family', family],
  ])('of the %s’s pages are none of the forbidden ones, and none is empty', (_, words) => {
    for (const [key, text] of leaves(words)) {
      expect(text.trim(), key).not.toBe('')
      expect(text, key).not.toMatch(/calorie|weight loss|no pain|punish|suicide|burn/i)
    }
  })

  it('name every choice of the documents', () => {
    const has = (key: string) => i18n.global.te(key)
    for (const role of ['brief', 'warmUp', 'skill', 'main', 'game', 'coolDown', 'challenge', 'test'])
      expect(has(`role.${role}`), role).toBe(true)
    for (const move of library.moves.values()) {
      expect(has(`family.${move.family}`), move.family).toBe(true)
      for (const unit of move.measures) expect(has(`unit.name.${unit}`) && has(`unit.short.${unit}`), unit).toBe(true)
    }
  })
})
