import { beforeEach, describe, expect, it } from 'vitest'
import { addStation, newSession, sessionDocument, writtenDocument } from '@esfuerzo/core'
import { publish } from '@esfuerzo/core/publication'
import type { Run } from '@esfuerzo/core/run'
import { cellsFor } from '../../core/src/library/cellsFor.ts'
import { seededRandom } from '../../core/src/distribution/seededRandom.ts'
import { mutated } from '../../core/test/support/mutate.ts'
import { samples } from '../../core/test/support/samples.ts'
import { cellKeeper } from '../src/classes/book/keptCells.ts'
import { useBook } from '../src/classes/book/useBook.ts'
import { draftsOf } from '../src/documents/drafts.ts'
import { changeBook, childBook, latest, withRun, wordsLearnt, type BookEntry } from '../src/family/book.ts'
import { keptSession, keptSessions, lastTime } from '../src/family/kept.ts'
import { lifeStore } from '../src/family/lifeStore.ts'
import { keptPupils } from '../src/family/pupils.ts'
import { runLife } from '../src/family/runLife.ts'
import { library } from '../src/repertoire/library.ts'
import type { Purpose } from '../src/shared/device/purposes.ts'
import { device } from './support/deviceStore.ts'
import { serve } from './support/pages.ts'

beforeEach(() => device.clear())

const empty = newSession('Springs', [[0, 1]], 20, library.version)
const workout = addStation(empty, 'b2', cellsFor(library.moves.get('pogo')!, empty.groups, 'intervals'))
const session = {
  token: 'A'.repeat(22),
  sha256: 'a'.repeat(64),
  title: 'Springs',
  endsAt: '2027-01-01T00:00:00.000Z',
  publication: publish(workout, library),
  openedAt: 1000,
}
const life = {
  id: 'l1',
  stage: 'answered',
  token: session.token,
  sha256: session.sha256,
  title: 'Springs',
  lanes: [{ lane: 'g1', run: 'r1' }],
  startedAt: '2026-11-01T10:00:00.000Z',
  finishedAt: '2026-11-01T10:20:00.000Z',
  keptAt: 1000,
  runs: [{ id: 'r1', publication: session.sha256, group: 'g1', finishedAt: '2026-11-01T10:20:00.000Z', results: [] }],
}
const entry: BookEntry = {
  run: 'r1',
  title: 'Springs',
  at: '2026-11-01T10:20:00.000Z',
  lines: [{ key: 'b1 s1', name: 'Hops', value: 12, unit: 'reps' }],
  words: [{ word: 'salto', meaning: 'jump' }],
}
const book = { entries: [entry], target: 'more', moved: { '2026-11-01': 20 } }
const draft = { revision: 1, document: writtenDocument(sessionDocument, workout), sent: [], at: 0 }

/** Invalid data next to valid data: values of this release with some fields replaced, and values nobody wrote. */
function* spoilt(good: unknown): Generator<unknown> {
  yield* [null, undefined, 0, '', 'x', [], {}, [null], new Date(0), new Map()]
  const random = seededRandom(20_261_129)
  for (let i = 0; i < samples(60, 3000); i++) yield mutated(good, random)
}

describe('valid data next to any invalid data is still used', () => {
  it.each<[string, Purpose, unknown, () => Promise<unknown>]>([
    [
      'a session',
      'sessions',
      session,
      async () => (await keptSessions()).filter((s) => s.token === session.token && s.openedAt === 1000),
    ],
    [
      'a child',
      'pupils',
      { alias: 'Tern 4', key: 'p1.k' },
      async () => (await keptPupils()).filter((p) => p.key === 'p1.k'),
    ],
    [
      'a run',
      'runs',
      life,
      async () => (await lifeStore.all()).filter((l) => l.id === 'l1' && l.runs?.[0]?.id === 'r1'),
    ],
    [
      'a draft',
      'drafts',
      draft,
      async () => (await draftsOf(sessionDocument).find('w1')).filter((d) => d.key === 'w1/good' && d.revision === 1),
    ],
  ])('%s', async (_, purpose, good, read) => {
    for (const odd of spoilt(good)) {
      await device.clear()
      await device.set(purpose, 'w1/odd', odd)
      await device.set(purpose, 'w1/good', good)
      expect(await read(), JSON.stringify(odd)?.slice(0, 300)).not.toHaveLength(0)
    }
  })
})

describe('with any invalid data in one place, the page works', () => {
  it('a session, last time’s results, unsaved cells', async () => {
    for (const odd of spoilt(session)) {
      await device.set('sessions', session.token, odd)
      expect((await keptSession(session.token))?.publication ?? {}).toBeTypeOf('object')
    }
    for (const odd of spoilt({ finishedAt: '', results: [{ value: 3 }] })) {
      await device.set('lastTimes', 'Springs|g1', odd)
      for (const { value } of (await lastTime('Springs', 'g1'))?.results ?? []) expect(value).toBeTypeOf('number')
    }
    const good = { id: 'c1', pupil: 'p1', column: 'felt', text: '3', state: 'waiting' }
    const keeper = cellKeeper('b1', () => '2b')
    await device.set('classBook', 'b1/p2 felt', good)
    for (const odd of spoilt(good)) {
      await device.set('classBook', 'b1/p1 felt', odd)
      expect((await keeper.all()).map(([key]) => key)).toContain('p2 felt')
      for (const [key, cell] of await keeper.all()) expect([typeof key, typeof cell]).toEqual(['string', 'object'])
    }
  })

  it('a child’s book: shown and extended, and an unreadable one is set aside', async () => {
    for (const odd of spoilt(book)) {
      await device.clear()
      await device.set('childBook', 'p1', odd)
      const there = await childBook('p1')
      expect(latest(there).length + wordsLearnt(there).length).toBeGreaterThanOrEqual(0)
      await changeBook('p1', (b) => withRun(b, { ...entry, run: 'r2' }, { startedAt: entry.at, finishedAt: entry.at }))
      expect((await childBook('p1')).entries.map((e) => e.run)).toContain('r2')
      if (odd !== undefined && there.entries.length === 0 && JSON.stringify(there) !== JSON.stringify(odd))
        expect(
          (await device.get('childBook', 'p1 aside')) !== undefined ||
            (odd as { entries?: unknown[] })?.entries?.length === 0,
        ).toBe(true)
    }
  })

  it('readable runs are sent', async () => {
    for (const odd of spoilt({ ...life, id: 'l0', runs: [{ ...life.runs[0], id: 'r0' }] })) {
      await device.clear()
      await device.set('runs', 'odd', odd)
      await device.set('runs', 'l1', life)
      const sent: string[] = []
      const send = async (_: string, run: Run) => void sent.push(run.id)
      await runLife({ store: lifeStore, send, now: () => 2000, newId: () => 'new' }).sendWaiting()
      expect(sent).toContain('r1')
    }
  })
})

it('what was typed here last stays on screen over what another tab kept of the same cell', async () => {
  const [classId, sent, pupil] = ['1', '2', '3'].map((n) => `${n.repeat(8)}-1111-4111-8111-111111111111`)
  const column = { what: 'felt', key: 'felt', kind: 'felt', name: '', part: '', unit: 'ten', nth: 1, of: 1 } as const
  serve({
    [`GET /api/classes/${classId}/results/${sent}`]: () => ({ columns: [column], entries: [], earlier: [], loose: [] }),
  })
  const book = useBook(classId!, sent!)
  await book.load()
  book.put([{ pupil: pupil!, column: 'felt', text: '4' }])
  const key = `${classId}/${sent}/${pupil} felt`
  const older = { id: 'c1', pupil, column: 'felt', text: '3', was: null, source: 'typed', state: 'waiting' }
  await device.set('classBook', key, older)
  await book.load()
  expect(book.textOf(pupil!, 'felt')).toBe('4')
  book.stop()
  // Everyone who opens the book has it.
  const again = useBook(classId!, sent!)
  await again.load()
  expect(again.textOf(pupil!, 'felt')).toBe('3')
  again.stop()
})
