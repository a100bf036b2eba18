import { expect, it } from 'vitest'
import { newSession, sessionView } from '@esfuerzo/core'
import { parse } from '@esfuerzo/core/notation'
import { playFrom } from '../src/compose/playFrom.ts'
import type { Row } from '../src/compose/order/rows.ts'
import { library } from '../src/repertoire/library.ts'

it('plays from the first step of a station, a block or a section, and from the start if there is none', () => {
  const { groups } = newSession('x', [[4]], 20, library.version)
  const text = '# Fog\n## Warm-up\nmarch on the spot 30 s\n## Main\n2 laps 20/10\nsquat\njog\n'
  const { workout: session } = parse(text, library, groups)
  const { blocks } = sessionView(session, library)[0]!
  const [warmUp, main] = session.sections
  const block = main!.blocks[0]!
  const [, jog] = 'stations' in block ? block.stations : []
  const row = (more: object) => ({ spans: [], section: main, block, ...more }) as unknown as Row
  expect(playFrom(row({ kind: 'station', id: jog!.id }), blocks)).toBe(60)
  expect(playFrom(row({ kind: 'block', id: block.id }), blocks)).toBe(30)
  expect(playFrom(row({ kind: 'section', id: warmUp!.id, section: warmUp, block: undefined }), blocks)).toBe(0)
  expect(playFrom(row({ kind: 'section', id: main!.id, block: undefined }), blocks)).toBe(30)
  expect(playFrom(undefined, blocks)).toBe(0)
  expect(playFrom(row({ kind: 'station', id: 'gone' }), blocks)).toBe(0)
})
