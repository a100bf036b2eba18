import { describe, expect, it } from 'vitest'
import { readSession, stationsOf, valueFor, type Session } from '@esfuerzo/core'
import { applySteps, stepGroups } from '@esfuerzo/core/choose'
import { parse } from '@esfuerzo/core/notation'
import { indexLibrary } from '../src/library/library.ts'
import { libraryData } from '@esfuerzo/library'

const library = indexLibrary(libraryData)
const read = (text: string): Session => {
  const { workout: session, problems } = parse(text, library)
  expect(problems).toEqual([])
  return readSession(session)
}
const session = read(
  '# Session\ngroups K-1, 2-3, 4-6; space mat\n## Main part\nsquat jump 10\nplank 30 s\n## Cool-down\nquad stretch 20 s',
)
const stations = session.sections.flatMap((s) => s.blocks.flatMap((b) => stationsOf(b)))
const ids = stations.map((s) => s.id)
const cellOf = (from: Session, at: number, group: string) =>
  valueFor(from.sections.flatMap((s) => s.blocks.flatMap((b) => stationsOf(b)))[at]!.cells, group)

describe('a step for some groups', () => {
  it('takes the next easier version, and touches no other group', () => {
    const easier = applySteps(session, stepGroups(session, ids, ['g3'], -1, library))
    const { versions } = library.moves.get('squat-jump')!
    const at = (id: string) => versions.findIndex((v) => v.id === id)
    expect(at(cellOf(easier, 0, 'g3').version)).toBeLessThan(at(cellOf(session, 0, 'g3').version))
    expect(cellOf(easier, 0, 'g3').dose).toEqual(cellOf(session, 0, 'g3').dose)
    for (const group of ['g1', 'g2'])
      for (const i of ids.keys()) expect(cellOf(easier, i, group)).toEqual(cellOf(session, i, group))
  })

  it('never takes a version that the group is not ready for, or that the home does not allow', () => {
    for (const quiet of [false, true]) {
      const here = { ...session, home: { ...session.home, quiet } }
      for (const { from, to, group } of stepGroups(here, ids, ['g1', 'g2', 'g3'], 1, library)) {
        const grades = here.groups.find((g) => g.id === group)!.grades
        const move = library.moves.get(to.move)!
        const version = move.versions.find((v) => v.id === to.version)!
        expect(version.fromGrade).toBeLessThanOrEqual(Math.min(...grades))
        if (quiet && to.version !== from.version) expect(version.noise ?? move.noise).not.toBe('thud')
      }
    }
  })

  it('changes the dose by a fifth where no version is left, and not below three reps or ten seconds', () => {
    const text = '# Session\ngroups 4-6; space mat\n## Main part\nsquat 10\nquad stretch 10 s'
    let now = read(text)
    const all = now.sections.flatMap((s) => s.blocks.flatMap((b) => stationsOf(b).map(({ id }) => id)))
    for (let i = 0; i < 20; i++) now = applySteps(now, stepGroups(now, all, ['g1'], -1, library))
    expect(cellOf(now, 0, 'g1').dose).toEqual({ unit: 'reps', amount: 3 })
    expect(cellOf(now, 1, 'g1').dose).toEqual({ unit: 'seconds', amount: 10 })
    expect(stepGroups(now, all, ['g1'], -1, library)).toEqual([])
  })

  it('leaves timed work without another version as it is', () => {
    const timed = read('# Session\ngroups K-1\n## Main part\n2 laps 20/20\nsquat')
    const [station] = timed.sections[0]!.blocks.flatMap((b) => stationsOf(b))
    const steps = stepGroups(timed, [station!.id], ['g1'], -1, library)
    expect(steps.every((s) => s.to.version !== s.from.version)).toBe(true)
  })
})
