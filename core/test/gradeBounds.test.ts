import { describe, expect, it } from 'vitest'
import { blockBounds, type Bound } from '../src/bounds/blockBounds.ts'
import { gradeBounds } from '../src/bounds/gradeBounds.ts'
import { timeline, type Session } from '@esfuerzo/core'
import { parse } from '@esfuerzo/core/notation'
import { fillBounds } from '../src/fit/fillBounds.ts'
import { library } from './sessions.ts'

/** A block of the main section for one group, and how near it comes to each limit. */
function uses(groups: string, ...lines: string[]) {
  const { workout: session, problems } = parse([`groups ${groups}`, '## Main part', ...lines].join('\n'), library)
  expect(problems).toEqual([])
  return usesOf(session)
}
function usesOf(session: Session) {
  const [block] = session.sections[0]!.blocks
  const [group] = session.groups
  const list = blockBounds(block!, group!, timeline(session, group!.id, library), library)
  return (line: Bound) => {
    const use = list.find((u) => u.line === line)
    return use && [use.value, use.most]
  }
}

describe('the limits of the grades', () => {
  // Common practice, no source; landings after Johnson et al. 2011, from memory, scaled by grade.
  it('are those of the lowest grade', () => {
    expect(gradeBounds({ grades: [1, 2] })).toMatchObject({ work: 30, workPerRest: 1, landings: 50 })
    expect(gradeBounds({ grades: [2, 3] })).toMatchObject({ work: 40, workPerRest: 1.5, vigorousSeconds: 720 })
    expect(gradeBounds({ grades: [4, 5, 6] })).toMatchObject({ work: 60, workPerRest: 2, hardLandings: 50 })
  })

  it('timed vigorous work: in one go and per second of rest', () => {
    const line = uses('K-1', '3 laps 40/20', 'jumping jack', 'high knees')
    expect(line('work')).toEqual([40, 30])
    expect(line('workPerRest')).toEqual([2, 1])
    // The youngest children's high knees are a march: only the jacks are vigorous.
    expect(line('vigorousSeconds')).toEqual([120, 480])
  })

  it('work that is not vigorous has no such limit', () => {
    const line = uses('K-1', '3 laps 40/20', 'plank', 'quad stretch')
    expect([line('work'), line('workPerRest'), line('vigorousSeconds')]).toEqual([[0, 30], [0, 1], undefined])
  })

  it('20/10 is fine for all up to four minutes, and no longer', () => {
    expect(uses('K-1', '4 laps 20/10', 'jumping jack', 'high knees')('workPerRest')).toEqual([0, 1])
    expect(uses('K-1', '5 laps 20/10', 'jumping jack', 'high knees')('workPerRest')).toEqual([2, 1])
  })

  it('no rest at all exceeds every limit', () => {
    expect(uses('4-6', '2 laps 30/0', 'jumping jack', 'high knees')('workPerRest')).toEqual([Infinity, 2])
  })

  it('a rest must be long enough to get into position', () => {
    // Getting down to the floor takes 4 s; three of them are available.
    expect(uses('4-6', '2 laps 30/3', 'squat', 'curl-up')('changeOver')).toEqual([1, 0])
    expect(uses('4-6', '2 laps 30/4', 'squat', 'curl-up')('changeOver')).toEqual([0, 0])
    // Grades K–1 take a quarter longer.
    expect(uses('K-1', '2 laps 20/4', 'squat', 'curl-up')('changeOver')).toEqual([1, 0])
  })

  it('sets with a weight in the hands count, without one they do not', () => {
    expect(uses('4-6', '4x10 biceps curl 2 kg')('loadedSets')).toEqual([4, 3])
    expect(uses('4-6', '4x10 squat')('loadedSets')).toBeUndefined()
    expect(uses('4-6', '5 rounds: biceps curl 10 2 kg, squat 10')('loadedSets')).toEqual([5, 3])
  })

  it('landings are reps by their impact', () => {
    const move = library.moves.get('squat-jump')!
    const version = move.versions.find((v) => v.id === move.standard)!
    const [landings] = uses('4-6', '3x10 squat jump')('landings')!
    expect(landings).toBeCloseTo(30 * version.impact, 8)
    expect(uses('4-6', '3x20 s plank')('landings')).toBeUndefined()
  })
})

describe('how far a session may be filled', () => {
  const blockFor = (groups: string, line: string) => {
    const { workout: session } = parse([`groups ${groups}`, '## Main part', line, 'plank', 'squat'].join('\n'), library)
    return fillBounds(session.sections[0]!.blocks[0]!, session.groups[0]!)
  }

  it('a slot up to the grade’s limit for any exercise, a rest up to the work', () => {
    expect(blockFor('4-6', '3 laps 30/40')).toEqual([
      [30, 60],
      [10, 0],
    ])
    expect(blockFor('K-1', '20/20, 30/10')).toEqual([
      [30, 30],
      [0, 0],
    ])
  })

  it('other forms have no clock to fill', () => {
    expect(blockFor('4-6', '3 rounds: squat 10, lunge 10')).toEqual([])
  })
})
