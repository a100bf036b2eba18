import { describe, expect, it } from 'vitest'
import { versionsFor } from '../src/home/obstacles.ts'
import { versionFor } from '../src/library/versionFor.ts'
import { addStation, fetchList, newSession, obstacles, type Home } from '@esfuerzo/core'
import { filterMoves, likeMoves } from '@esfuerzo/core/choose'
import { library } from './sessions.ts'

const home: Home = { space: 'run', quiet: false, company: 'together', kit: [], standIns: {}, outdoors: false }
const move = (id: string) => library.moves.get(id)!
const codes = (id: string, version: string, at: Partial<Home>) =>
  obstacles(
    move(id),
    move(id).versions.find((v) => v.id === version)!,
    { ...home, ...at },
    library,
  ).map((o) => o.code)

describe('obstacles', () => {
  it('are space, neighbors below, equipment, and who is present', () => {
    expect(codes('shuttle-run', 'shuttle-run', { space: 'mat' })).toEqual(['space'])
    expect(codes('shuttle-run', 'shuttle-run', { quiet: true })).toEqual(['noise'])
    expect(codes('biceps-curl', 'biceps-curl', {})).toEqual(['kit'])
    expect(codes('palm-push', 'palm-push', { company: 'alone' })).toEqual(['company'])
    expect(codes('wall-walk', 'wall-walk', { company: 'alone' })).toEqual(['adult'])
    expect(codes('squat', 'squat', { space: 'spot', quiet: true, company: 'alone' })).toEqual([])
  })

  it('exclude what every home has, what this one has, and stand-ins', () => {
    expect(codes('sit-to-stand', 'sit-to-stand', {})).toEqual([])
    expect(codes('biceps-curl', 'biceps-curl', { kit: ['bottle'] })).toEqual([])
    expect(codes('biceps-curl', 'biceps-curl', { standIns: { bottle: 'a packet of rice' } })).toEqual([])
  })

  it('leave the versions a grade can do there', () => {
    expect(versionsFor(move('biceps-curl'), home, library, 0).map((v) => v.id)).toEqual(['empty-curl'])
    const quiet = { ...home, quiet: true }
    expect(versionsFor(move('skip'), quiet, library).map((v) => v.id)).toEqual(['step-hop'])
  })
})

describe('exercises that fit', () => {
  it('can be filtered by muscle, family, equipment, space, noise, grade and recent use', () => {
    const ids = (filter: Parameters<typeof filterMoves>[0]) => filterMoves(filter, library).map((m) => m.id)
    expect(ids({ muscle: 'triceps' })).toContain('triceps-stretch')
    for (const m of filterMoves({ family: 'balance' }, library)) expect(m.family).toBe('balance')
    for (const m of filterMoves({ kit: 'none', grade: 0, quiet: true, space: 'spot' }, library))
      expect(
        m.versions.some(
          (v) =>
            v.fromGrade === 0 &&
            (v.noise ?? m.noise) === 'quiet' &&
            (v.space ?? m.space) === 'spot' &&
            (v.kit ?? m.kit).every((k) => k.optional),
        ),
      ).toBe(true)
    expect(ids({ kit: 'band' })).toContain('seated-row')
    expect(ids({ typed: 'squat', notAmong: new Set(['squat']) })).not.toContain('squat')
    expect(ids({ home: { ...home, space: 'mat', quiet: true } })).not.toContain('shuttle-run')
  })

  it('that are similar share the family or the muscles, in a version of about the same difficulty, and are new to the session', () => {
    const lunge = move('lunge')
    const like = likeMoves(lunge, versionFor(lunge, { grades: [4] }), home, 4, library, new Set(['back-lunge']))
    expect(like.length).toBeGreaterThan(5)
    expect(like.map((l) => l.move.id)).not.toContain('lunge')
    expect(like.map((l) => l.move.id)).not.toContain('back-lunge')
    expect(like[0]!.sameFamily).toBe(true)
    for (const { move: other, version, shared, sameFamily } of like) {
      expect(sameFamily || shared.length > 0).toBe(true)
      expect(version.fromGrade).toBeLessThanOrEqual(4)
      expect(other.stretches).toBeUndefined()
    }
    // A stretch is swapped for a stretch of the same muscle.
    const quad = move('quad-stretch')
    expect(likeMoves(quad, quad.versions[1]!, home, 4, library)[0]!.move.stretches).toContain('quadriceps')
  })

  it('offer a kindergartner nothing beyond kindergarten', () => {
    const press = move('push-up')
    for (const { version } of likeMoves(press, press.versions[0]!, home, 0, library)) expect(version.fromGrade).toBe(0)
  })
})

describe('the fetch list', () => {
  const made = (at: Partial<Home>) => {
    let w = newSession('x', [[0, 1], [4]], 20, library.version)
    w = { ...w, home: { ...home, ...at } }
    w = addStation(w, 'b2', {
      all: { move: 'biceps-curl', version: 'biceps-curl' },
      by: { g1: { move: 'biceps-curl', version: 'empty-curl' } },
    })
    return addStation(w, 'b3', { all: { move: 'boat', version: 'boat' } })
  }

  it('lists each thing once, for whom and for what, required things first, with words to ask', () => {
    const [bottle, mat] = fetchList(made({}), library)
    expect(bottle).toMatchObject({
      kit: 'bottle',
      groups: ['g2'],
      moves: ['biceps-curl'],
      optional: false,
      missing: true,
    })
    expect(bottle!.ask).toMatch(/^Ask a grown-up/)
    expect(mat).toMatchObject({ kit: 'mat', groups: ['g1', 'g2'], optional: true, missing: false })
  })

  it('marks a thing as required if one of its exercises requires it, whichever comes first', () => {
    const w = newSession('x', [[4]], 20, library.version)
    const all = [...library.moves.values()].flatMap((m) => m.versions.map((v) => ({ m, v, kit: v.kit ?? m.kit })))
    const must = all.find(
      ({ kit }) =>
        kit.length === 1 && !kit[0]!.optional && all.some((o) => o.kit.some((k) => k.id === kit[0]!.id && k.optional)),
    )!
    const may = all.find(({ kit }) => kit.some((k) => k.id === must.kit[0]!.id && k.optional))!
    for (const order of [
      [must, may],
      [may, must],
    ]) {
      const both = order.reduce((now, { m, v }) => addStation(now, 'b3', { all: { move: m.id, version: v.id } }), w)
      expect(fetchList(both, library).find((f) => f.kit === must.kit[0]!.id)).toMatchObject({ optional: false })
    }
  })

  it('shows the stand-in used, and then misses nothing', () => {
    expect(fetchList(made({ standIns: { bottle: 'a packet of rice' } }), library)[0]).toMatchObject({
      standIn: 'a packet of rice',
      missing: false,
    })
    expect(
      fetchList(made({ kit: ['bottle'], standIns: { bottle: 'a packet of rice' } }), library)[0],
    ).not.toHaveProperty('standIn')
  })
})
