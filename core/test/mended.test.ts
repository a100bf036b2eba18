import { describe, expect, it } from 'vitest'
import { sessionSeconds } from '../src/timing/sessionSeconds.ts'
import { findBlock, findStation, reorderStations, stationsOf, type Session } from '@esfuerzo/core'
import { parse } from '@esfuerzo/core/notation'
import { applyFit, arrange, canArrange, fit, type FitChange } from '@esfuerzo/core/tools'
import { library } from './sessions.ts'

const typed = (text: string): Session => {
  const { workout: session, problems } = parse(text, library)
  expect(problems).toEqual([])
  return session
}
const changesOf = (changes: readonly FitChange[]) =>
  changes.map(({ lever, scope, from, to }) => [lever, scope, Object.values(from), Object.values(to)])
const circuit = (session: Session) => session.sections.flatMap((s) => s.blocks).findLast(canArrange)!.id
const movesIn = (session: Session, ids: readonly string[]) => ids.map((id) => findStation(session, id).cells.all.move)

// Five sessions as teachers really have them, and what a good teacher would do with each (common practice, no source).
describe('sessions repaired as a good teacher would', () => {
  it('two lanes a minute and a half too long, and the game stays: ten seconds less work for them, the third is unchanged', () => {
    const w = typed(`# Wind in the sails
minutes 15; groups K-1, 2-3, 4-6; space mat
## Before we start
talk 45 s
## Warm-up
march on the spot 40 s
arm circles 10
side bend 10
jumping jack 20
squat 8
## Sails (main)
3 laps 30/20 [K-1: 20/20], lap rest 45
squat
mountain climber
plank
## Game
game 4 min
## Cool-down
hold 20 s [K-1: 10 s]
quad stretch each side
butterfly`)
    expect(Object.values(sessionSeconds(w, library)).filter((s) => s > 15 * 60)).toHaveLength(2)
    const [way] = fit(w, library).ways
    // Rests cannot be shortened: grades 2–3 would do mountain climbers for 25 s with 15 s of rest. Ten-second slots are not work. One lap
    // less would leave the youngest, who are in time, three minutes short.
    expect(changesOf(way!.changes)).toEqual([
      ['work', 'all', [30, 30], [20, 20]],
      ['stay', 'g1', [], []],
    ])
    const after = applyFit(w, way!.changes)
    for (const role of ['brief', 'warmUp', 'game', 'coolDown'])
      expect(after.sections.filter((s) => s.role === role)).toEqual(w.sections.filter((s) => s.role === role))
  })

  it('two lanes that should end together: the older ones rest between stations, nobody’s work changes', () => {
    const w = typed(`# Rowing in step
minutes 15; groups K-1, 4-6; space mat; finish together
## Warm-up
march on the spot 60 s
arm circles 10
hip circles 10
squat 10
## Oars (main)
3 rounds, rest 60 s: squat 12, push-up 8, curl-up 12, lunge 10
## Cool-down
hold 20 s
quad stretch each side
butterfly`)
    const answer = fit(w, library)
    const [g1, g2] = Object.values(answer.before) as [number, number]
    expect(g1 - g2).toBeGreaterThan(60)
    const [way] = answer.ways
    expect(changesOf(way!.changes)).toEqual([['rest', 'g2', [0], [15]]])
    const [end1, end2] = Object.values(way!.after) as [number, number]
    expect(Math.abs(end1 - end2)).toBeLessThanOrEqual(15)
  })

  it('five minutes short of the lesson: another lap with a little more rest, not longer slots', () => {
    const w = typed(`# Low tide
minutes 15; groups 2-3; space mat
## Warm-up
march on the spot 60 s
arm circles 10
hip circles 10
squat 10
jumping jack 20
## Sand (main)
2 laps 30/20
squat
push-up
high knees
curl-up
## Cool-down
hold 20 s
quad stretch each side
butterfly`)
    const [way] = fit(w, library, { fill: true }).ways
    expect(changesOf(way!.changes)).toEqual([
      ['laps', 'all', [2], [3]],
      ['rest', 'all', [20], [25]],
    ])
    expect(way!.after.g1).toBeGreaterThanOrEqual(14 * 60)
  })

  it('up and down all the time: standing work together, floor work together, one trip per lap instead of four', () => {
    const w = typed(`# Up and down
minutes 20; groups 2-3
## Main part
3 laps 30/15
skater step
plank
squat
seated reach
high knees
curl-up
bag row
hip bridge`)
    const { findings, order } = arrange(w, circuit(w), library)
    expect([findings.before.trips, findings.after.trips]).toEqual([4, 1])
    expect([findings.before.muscles, findings.after.muscles]).toEqual([1, 0])
    expect(findings.after.seconds).toBeLessThan(findings.before.seconds)
    // The floor exercises are next to each other.
    const moves = movesIn(w, order)
    const floor = ['plank', 'seated-reach', 'curl-up', 'bridge'].map((m) => moves.indexOf(m)).sort((a, b) => a - b)
    expect(floor.at(-1)! - floor[0]!).toBe(3)
  })

  it('bottles and bags put down and picked up at every station: weights together, picked up less often', () => {
    const w = typed(`# Shopping bags
minutes 20; groups 4-6
## Main part
3 rounds, rest 60 s: bent-over row 10 3 kg, squat 12, overhead press 10 1 kg, lunge 10, biceps curl 10 2 kg, calf raise 15`)
    const id = circuit(w)
    const { findings, order, seconds } = arrange(w, id, library)
    expect([findings.before.things, findings.after.things]).toEqual([6, 4])
    expect(seconds.before.g1! - seconds.after.g1!).toBe(12)
    const after = reorderStations(w, id, order)
    expect(sessionSeconds(after, library)).toEqual(seconds.after)
    // The same stations, each with its load and dose.
    const byId = (x: Session) => [...stationsOf(findBlock(x, id))].sort((a, b) => a.id.localeCompare(b.id))
    expect(byId(after)).toEqual(byId(w))
  })
})
