import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { ref } from 'vue'
import * as core from '@esfuerzo/core'
import { cellsFor } from '../../core/src/library/cellsFor.ts'
import { newSession, ProblemError, type Cell, type Session } from '@esfuerzo/core'
import { library } from '../src/repertoire/library.ts'
import { useAutosave } from '../src/documents/useAutosave.ts'
import { useHistory } from '../src/documents/useHistory.ts'

const moves = [...library.moves.values()]
const one = <T>(list: readonly T[], n: number): T | undefined => list[n % Math.max(1, list.length)]

/** An edit as a teacher would make one, chosen by numbers. */
function editOf(w: Session, kind: number, a: number, b: number): () => Session {
  const blocks = w.sections.flatMap((s) => s.blocks)
  const stations = blocks.flatMap((x) => core.stationsOf(x))
  const station = one(stations, a)?.id ?? 's0'
  const block = one(blocks.filter(core.hasStations), a)
  const section = one(w.sections, a)?.id ?? 'p0'
  const scope = b % 3 ? [one(w.groups, b)!.id] : ('all' as const)
  const move = one(moves, b)!
  const cell: Cell = { move: move.id, version: one(move.versions, a)!.id, dose: { unit: 'reps', amount: (b % 30) + 1 } }
  const edits = [
    () => core.addStation(w, block?.id ?? 'b0', cellsFor(move, w.groups, 'list')),
    () => core.setCell(w, station, scope, () => cell),
    () => core.removeStation(w, station),
    () => core.moveStation(w, station, b % 2 ? 1 : -1),
    () => core.moveStationsTo(w, [station], block?.id ?? 'b0', one(block?.stations ?? [], b)?.id),
    () => core.duplicateSection(w, section),
    () => core.removeSection(w, section),
    () => core.moveSectionTo(w, section, one(w.sections, b)?.id),
    () => core.setDetails(w, { title: `Title ${b}`, minutes: (b % 120) + 1 }),
    () => core.addGroup(w, [b % 7], library),
    () => core.removeGroup(w, one(w.groups, a)!.id),
    () => core.joinSessions(w, newSession('Other', [[b % 7]], 10, library.version)),
  ]
  return one(edits, kind)!
}

describe('undo and redo', () => {
  it('restore exactly the same document after any chain of edits, across saves', async () => {
    const step = fc.record({
      kind: fc.nat(),
      a: fc.nat(),
      b: fc.nat(),
      then: fc.constantFrom('', '', 'save', 'undo', 'redo', 'fail'),
    })
    await fc.assert(
      fc.asyncProperty(fc.array(step, { minLength: 5, maxLength: 40 }), async (chain) => {
        const start = newSession(
          'Create session',
          [
            [0, 1],
            [2, 3],
            [4, 5],
          ],
          20,
          library.version,
        )
        const history = useHistory<Session>(start)
        const server = { document: start, revision: 1, away: false }
        const revision = ref(1)
        const autosave = useAutosave<Session>({
          document: history.current,
          revision,
          save: async (document) => {
            if (server.away) throw new Error('away')
            server.document = structuredClone(document)
            return ++server.revision
          },
          reload: async () => server,
          keep: async () => {},
          quiet: 1e9,
          retry: 1e9,
        })
        autosave.settle(start)
        // The expected result of undo and redo, kept the simple way: all states, and the current position.
        let states = [start]
        let at = 0
        for (const { kind, a, b, then } of chain) {
          try {
            const next = editOf(history.current.value, kind, a, b)()
            if (next !== history.current.value) {
              history.push(next)
              states = [...states.slice(0, at + 1), next]
              at++
            }
          } catch (error) {
            expect(error).toBeInstanceOf(ProblemError)
          }
          if (then === 'save' || then === 'fail') {
            server.away = then === 'fail'
            await autosave.flush()
          }
          if (then === 'undo') {
            history.undo()
            at = Math.max(0, at - 1)
          }
          if (then === 'redo') {
            history.redo()
            at = Math.min(states.length - 1, at + 1)
          }
          expect(history.current.value).toBe(states[at])
        }
        while (history.canUndo.value) {
          history.undo()
          expect(history.current.value).toBe(states[--at])
        }
        expect(history.current.value).toBe(start)
        while (history.canRedo.value) {
          history.redo()
          expect(history.current.value).toBe(states[++at])
        }
        expect(at).toBe(states.length - 1)
        server.away = false
        expect(await autosave.flush()).toBe(true)
        expect(server.document).toEqual(history.current.value)
        autosave.stop()
      }),
      { numRuns: 60 },
    )
  })
})

it('steps of one kind in a row undo as one; undo or redo ends the row', () => {
  const history = useHistory(0)
  history.push(1, 'title')
  history.push(2, 'title')
  history.undo()
  expect(history.current.value).toBe(0)
  history.push(3, 'title')
  history.push(4, 'minutes')
  history.undo()
  expect(history.current.value).toBe(3)
  history.push(5, 'minutes')
  history.undo()
  expect(history.current.value).toBe(3)
  history.redo()
  history.push(6, 'minutes')
  history.undo()
  expect(history.current.value).toBe(5)
})

it('five hundred steps can be undone, and no more', () => {
  const history = useHistory(0)
  for (let n = 1; n <= 600; n++) history.push(n)
  let steps = 0
  for (; history.canUndo.value; steps++) history.undo()
  expect([steps, history.current.value]).toEqual([500, 100])
})
