import { expect, it } from 'vitest'
import { newWorkout, parse, timeline } from '@esfuerzo/core'
import { playFrom } from '../src/compose/playFrom.ts'
import type { Row } from '../src/compose/rows.ts'
import { library } from '../src/teacher/library.ts'

it('plays from the first step of a station, a block or a section, and from the start where there is none', () => {
  const { groups } = newWorkout('x', [[4]], 20, library.version)
  const text = '# Fog\n## Warm-up\nmarch on the spot 30 s\n## Main\n2 laps 20/10\nsquat\njog\n'
  const { workout } = parse(text, library, groups)
  const steps = timeline(workout, workout.groups[0]!.id, library)
  const [warmUp, main] = workout.sections
  const block = main!.blocks[0]!
  const [, jog] = 'stations' in block ? block.stations : []
  const row = (more: object) => ({ spans: [], section: main, block, ...more }) as unknown as Row
  expect(playFrom(row({ kind: 'station', id: jog!.id }), steps)).toBe(60)
  expect(playFrom(row({ kind: 'block', id: block.id }), steps)).toBe(30)
  expect(playFrom(row({ kind: 'section', id: warmUp!.id, section: warmUp, block: undefined }), steps)).toBe(0)
  expect(playFrom(row({ kind: 'section', id: main!.id, block: undefined }), steps)).toBe(30)
  expect(playFrom(undefined, steps)).toBe(0)
  expect(playFrom(row({ kind: 'station', id: 'gone' }), steps)).toBe(0)
})
