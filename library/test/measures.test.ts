import { describe, expect, it } from 'vitest'
import { capFor, dayValue, setUpOf, testIds, type Measure } from '@esfuerzo/core'
import { readLibrary } from '../../core/src/library/library.ts'
import { libraryData } from '../index.ts'

const library = readLibrary(libraryData)
const measures = [...library.measures.values()]
const names = (where: (m: Measure) => boolean) => measures.filter(where).map((m) => m.id)

describe('the tests', () => {
  it('are each present once, a dozen and more', () => {
    expect(libraryData.measures).toHaveLength(testIds.length)
    expect([...library.measures.keys()].sort()).toEqual([...testIds].sort())
    expect(measures.length).toBeGreaterThanOrEqual(12)
  })

  it.each(measures)('$name: its figure, its things, its tries and its clock exist and agree', (m) => {
    expect(library.figures.has(m.figure)).toBe(true)
    for (const { kit } of m.setUps) for (const id of kit) expect(library.kit.has(id)).toBe(true)
    expect(new Set(m.setUps.map((s) => s.id)).size).toBe(m.setUps.length)
    expect(m.range.from).toBeLessThan(m.range.to)
    for (const cap of m.caps) expect(cap.value).toBeLessThanOrEqual(m.range.to)
    if (m.clock.kind === 'down') expect(m.seconds.trial).toBeGreaterThanOrEqual(m.clock.seconds)
    if (m.scale.kind === 'hits') expect(m.trials * m.range.to).toBe(m.scale.of)
    // Of a ratio the error is a factor above 1; where a change is told there is an error, or it follows from the throws.
    if (m.scale.kind === 'ratio') expect(m.error!.value).toBeGreaterThan(1)
    if (m.use === 'change') expect(m.error !== undefined || m.scale.kind === 'hits').toBe(true)
    if (m.gameUpTo !== undefined) expect(m.gameUpTo).toBeGreaterThanOrEqual(m.fromGrade)
    expect(m.error?.source ?? 'ours').toMatch(/ours|memory/)
  })

  // Common practice and named papers, from memory: the table this library was made from.
  it('compare over a term if they are sound for that at home, and no others', () => {
    expect(names((m) => m.use === 'change').sort()).toEqual(['lineJumps15', 'longJump', 'sitAndReach', 'sitToStands30'])
  })
  it('hold nobody to the limit before grade 3', () => {
    expect(names((m) => m.clock.kind === 'up' && m.fromGrade < 3)).toEqual(['oneLegStand'])
    expect(capFor(library.measures.get('plankHold')!, 3)).toBe(45)
    expect(capFor(library.measures.get('plankHold')!, 5)).toBe(60)
  })
  it('call no pulse better than another', () => {
    expect(names((m) => m.better === 'none')).toEqual(['pulse', 'restingPulse', 'pulseAfter'])
    expect(names((m) => m.clock.kind === 'pulse')).toEqual(['pulse', 'restingPulse', 'pulseAfter'])
  })
  it('are a game for kindergarten and grade 1 if older ones get a result', () => {
    expect(measures.filter((m) => m.use === 'change' && m.fromGrade <= 1 && m.gameUpTo !== 1)).toEqual([])
  })
  it('jump in shoes, with noise, and with free floor if they travel far', () => {
    expect(names((m) => m.thud === true)).toEqual(['lineJumps15', 'longJump'])
    expect(measures.filter((m) => m.thud && m.shoes !== 'on')).toEqual([])
    expect(library.measures.get('longJump')!.metres).toBe(2.5)
  })
  it('contain nothing that is not done at home', () => {
    const said = measures.flatMap((m) => [m.name, m.tells, ...m.steps, ...m.setUps.map((s) => s.how)]).join(' ')
    expect(said).not.toMatch(/one.?rep|maximum|hang from|exhaust|hold (his|her|your) feet|eyes closed|weigh|scales/i)
  })

  it('score a day’s value as each defines', () => {
    expect(dayValue(library.measures.get('sitAndReach')!, [14, 15.5])).toBe(15.5)
    expect(dayValue(library.measures.get('lineJumps15')!, [24, 26])).toBe(50)
    expect(dayValue(library.measures.get('restingPulse')!, [80, 84])).toBe(82)
    expect(dayValue({ score: 'best', better: 'lower' }, [9, 8])).toBe(8)
    expect(setUpOf(library.measures.get('sitAndReach')!, 'step').name).toBe('soles against a step or a box')
    expect(setUpOf(library.measures.get('sitAndReach')!, 'gone').id).toBe('tape')
  })
})
