import { expect, it } from 'vitest'
import { newSession, sessionView } from '@esfuerzo/core'
import type { CameBack } from '@esfuerzo/core/nextTime'
import { parse } from '@esfuerzo/core/notation'
import { measuredAt } from '../src/compose/lanes/measuredAt.ts'
import { library } from '../src/repertoire/library.ts'

const { groups } = newSession('x', [[4]], 20, library.version)
const { workout: session } = parse('# Fog\n## Main\nsquat 60 s\nmeasure pulse\nsquat 60 s\n', library, groups)
const [lane] = sessionView(session, library)
const steps = lane!.blocks.flatMap(({ start, timed }) => timed.steps.map((s) => ({ ...s, at: start + s.at })))
const run = (when: 'before' | 'during' | 'after' | 'minuteAfter', rate: number): CameBack => ({
  clean: 0,
  told: 0,
  easier: false,
  early: false,
  pulses: [{ when, rate }],
})

it('measured pulses are shown where they were counted, from five homes on', () => {
  const id = lane!.group.id
  const runs = [run('before', 90), run('during', 140), run('after', 150), run('minuteAfter', 120), run('before', 95)]
  const end = steps.at(-1)!.at + steps.at(-1)!.seconds.typical
  const measure = steps.find((s) => s.kind === 'measure')!.at
  expect(measuredAt({ id, steps }, [{ lanes: { [id]: runs } }])).toEqual([
    { at: 0, beats: 90 },
    { at: measure, beats: 140 },
    { at: end, beats: 150 },
    { at: end + 60, beats: 120 },
    { at: 0, beats: 95 },
  ])
  expect(measuredAt({ id, steps }, [{ lanes: { [id]: runs.slice(1) } }])).toEqual([])
  expect(measuredAt({ id, steps }, [])).toEqual([])
})
