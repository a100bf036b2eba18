import { describe, expect, it } from 'vitest'
import { newSession, type Session } from '@esfuerzo/core'
import { parse } from '@esfuerzo/core/notation'
import { publish } from '@esfuerzo/core/publication'
import { choose, courseOf, laneReader, makeEasier, nextShown, startRun, stepView } from '@esfuerzo/core/run'
import { library } from './sessions.ts'

function laneOf(text: string, change: (session: Session) => Session = (w) => w) {
  const { groups } = newSession('x', [[4, 5, 6]], 20, library.version)
  const { workout: session, problems } = parse(`# Fog\n${text}\n`, library, groups)
  expect(problems).toEqual([])
  const publication = publish(change(session), library)
  const course = courseOf(publication, [publication.lanes[0]!.id])
  const track = course.lanes[0]!
  const reader = laneReader(publication, track)
  const begin = startRun(course, 0).lanes[0]!
  const at = (index: number, more: object = {}) => ({ ...begin, index, ...more })
  /** The first step of a kind. */
  const first = (kind: string) => track.steps.findIndex((s) => s.kind === kind)
  const clock = (index: number, elapsed: number, more: object = {}) =>
    reader.clock(at(index, more), stepView(track.steps[index]!, elapsed), elapsed)
  return { publication, course, track, reader, at, first, clock }
}
const circuit = '## Main\n2 rounds, rest 40\nsquat 10\nplank 20 s\n'
/** The first station that has something a text cannot say. */
const withStation =
  (more: { storyName?: string; focus?: string; note?: string; easier?: string; harder?: string }) =>
  (w: Session): Session => {
    const changed = structuredClone(w)
    const block = changed.sections[0]!.blocks[0]!
    if ('stations' in block) Object.assign(block.stations[0]!, more)
    return changed
  }

describe('what a lane shows', () => {
  it('names the current exercise, its place, and what follows after how much rest', () => {
    const { reader, at, track } = laneOf(circuit)
    const { heading, where, following, isWork } = reader.shown(at(0))
    expect(heading).toEqual({ by: 'move', move: 'squat', version: track.steps[0]!.version })
    expect(where).toMatchObject({ lap: { n: 1, of: 2 }, station: { n: 1, of: 2 } })
    expect(where?.section?.role).toBe('main')
    expect(following?.called).toMatchObject({ by: 'move', move: 'plank' })
    expect(isWork).toBe(true)
  })

  it('shows during a rest what comes, and consecutive rests as one', () => {
    const { reader, at, track } = laneOf(circuit)
    const rest = track.steps.findIndex((s) => s.kind === 'rest')
    expect(reader.shown(at(rest)).heading).toMatchObject({ move: 'squat' })
    expect(reader.shown(at(rest)).doing?.move.id).toBe('squat')
    expect(reader.shown(at(rest)).following).toBeUndefined()
    const work = track.steps.slice(0, rest).findLastIndex((s) => s.kind === 'work')
    const restBetween = track.steps.slice(work, nextShown(track.steps, work)!.index).filter((s) => s.kind === 'rest')
    expect(restBetween.length).toBeGreaterThan(0)
    const seconds = restBetween.reduce((sum, s) => sum + s.seconds.typical, 0)
    expect(reader.shown(at(work)).following?.rest).toBe(seconds)
  })

  it('reveals no surprise before it starts, neither on the screen nor aloud', () => {
    const surprise = (w: Session): Session => ({
      ...w,
      sections: w.sections.map((s, i) => (i === 1 ? { ...s, surprise: true } : s)),
    })
    const text = '## Main\n2 rounds, rest 20\nsquat 10\n## Game\nplank 20 s\n'
    const { reader, at, track } = laneOf(text, surprise)
    const last = track.steps.findLastIndex((s) => s.section === track.steps[0]!.section)
    expect(reader.shown(at(last)).following).toMatchObject({ called: { code: 'surprise' }, doing: undefined })
    // The rest before it does not reveal it either.
    const restLast = {
      ...track,
      steps: [track.steps[0]!, { ...track.steps[1]!, kind: 'rest' as const }, track.steps.at(-1)!],
    }
    const rests = laneReader(laneOf(text, surprise).publication, restLast)
    expect(rests.shown(at(1))).toMatchObject({ heading: { code: 'surprise' }, doing: undefined, cues: [] })
    expect(rests.spoken(at(0), 1)).toBeUndefined()
    const open = laneOf(text)
    expect(open.reader.shown(open.at(last)).following?.called).toMatchObject({ move: 'plank' })
    expect(laneReader(open.publication, restLast).spoken(at(0), 1)).toMatchObject({ by: 'say' })
  })

  it('uses the story name for the session’s exercise, and the exercise’s name once the child makes it easier', () => {
    const { reader, course } = laneOf('## Main\nsquat 10\n', withStation({ storyName: 'the crab' }))
    const begin = startRun(course, 0)
    expect(reader.shown(begin.lanes[0]!).heading).toEqual({ by: 'story', story: 'the crab' })
    const easier = makeEasier(begin, course, 0).lanes[0]!
    expect(reader.shown(easier).heading).toMatchObject({ by: 'move', move: 'squat' })
    expect(reader.spoken(easier, 0)).toMatchObject({ by: 'move' })
    expect(reader.spoken(begin.lanes[0]!, 0)).toMatchObject({ by: 'say' })
  })

  it('offers the child’s choices, with the current one marked', () => {
    const { reader, course } = laneOf('## Main\nsquat 10 or lunge or march\n')
    const begin = startRun(course, 0)
    expect(reader.shown(begin.lanes[0]!).choices.map(({ move, on }) => [move, on])).toEqual([
      ['squat', true],
      ['lunge', false],
      ['march', false],
    ])
    const chosen = reader.shown(choose(begin, course, 0, 'lunge').lanes[0]!)
    expect(chosen.choices.find(({ on }) => on)?.move).toBe('lunge')
    expect(chosen.heading).toMatchObject({ move: 'lunge' })
  })

  it('gives one cue at a time, the teacher’s focus first', () => {
    const { reader, at, clock } = laneOf('## Main\nsquat 10\n', withStation({ focus: 'heels heavy' }))
    const { cues } = reader.shown(at(0))
    expect(cues[0]).toEqual({ text: 'heels heavy', own: true })
    expect(cues.length).toBeGreaterThan(1)
    const said = laneOf(
      '## Main\nsquat 10\n',
      withStation({ note: 'slowly', easier: 'hold a chair', harder: 'one more' }),
    )
    const all = said.reader.shown(said.at(0)).cues
    expect(all[0]).toEqual({ text: 'slowly', own: true })
    expect(all.slice(-2)).toEqual([
      { text: 'hold a chair', own: true, level: 'easier' },
      { text: 'one more', own: true, level: 'harder' },
    ])
    expect([0, 5.9, 6, 13].map((elapsed) => clock(0, elapsed).cue)).toEqual([0, 0, 1, 2])
  })

  it('waits for the other lane without a cue, and is finished at the end', () => {
    const { reader, at, clock, track } = laneOf(circuit)
    expect(reader.shown(at(0, { waiting: true }))).toMatchObject({
      heading: { code: 'waiting' },
      cues: [],
      isWork: false,
      following: undefined,
    })
    expect(clock(0, 1, { waiting: true })).toMatchObject({ prompt: { code: 'waitingFor' }, lastThree: false })
    const over = reader.shown(at(track.steps.length))
    expect(over).toMatchObject({ heading: { code: 'finished' }, where: undefined, doing: undefined })
  })
})

describe('what a lane shows of the clock', () => {
  it('counts seconds down, long ones as minutes, and marks the last three', () => {
    const { clock, first } = laneOf('## Main\nlist, rest 120\nplank 20 s\nsquat 5\n')
    const plank = first('work')
    expect(clock(plank, 4.5).digits).toEqual({ seconds: 16, long: false })
    expect([16.9, 17].map((elapsed) => clock(plank, elapsed).lastThree)).toEqual([false, true])
    expect(clock(first('rest'), 0).digits).toEqual({ seconds: 120, long: true })
  })

  it('leaves time for a drink in a long rest, once the next exercise has been read', () => {
    const { clock, first } = laneOf('## Main\nlist, rest 30\nplank 20 s\nsquat 5\n')
    expect([6, 6.1].map((elapsed) => clock(first('rest'), elapsed).prompt.code)).toEqual(['restNext', 'drink'])
    const short = laneOf('## Main\nlist, rest 29\nplank 20 s\nsquat 5\n')
    expect(short.clock(short.first('rest'), 20).prompt.code).toBe('restNext')
  })

  it('says the side and the dose of work', () => {
    const { clock } = laneOf('## Main\nsquat 10\n')
    expect(clock(0, 0).prompt).toEqual({ code: 'work', side: undefined, dose: { amount: 10, unit: 'reps' } })
  })
})
