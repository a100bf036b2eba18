import { describe, expect, it } from 'vitest'
import { planBlocks, planTable } from '@esfuerzo/core/oldPlans'
import { print, readText } from '@esfuerzo/core/notation'
import { stationsOf, type Session } from '@esfuerzo/core'
import { library } from '../../core/test/sessions.ts'
import { shelf } from '../../core/test/shelf.ts'
import { demoSessions, demoSession } from '../../server/src/demo/sessions.ts'
import { readPlan } from '../src/readPlan.ts'
import { docxOf, excelOf } from '../src/write.ts'

const sessions: [string, Session][] = [
  ...demoSessions.map((s): [string, Session] => [s.file, demoSession(s, library)]),
  ...shelf(library).map(({ file, session }): [string, Session] => [file, session]),
]

describe('a session sent to a colleague as a document', () => {
  it.each(sessions)('%s returns with its rows, doses, groups and titles', async (_, session) => {
    const { texts, kind } = await readPlan(await docxOf(planBlocks(session, library)), 'session.docx')
    expect([kind, texts.length]).toEqual(['docx', 1])
    const read = readText(texts[0]!, library)
    expect([read.problems, read.questions]).toEqual([[], []])
    expect(print(read.workout, library)).toBe(print(session, library))
  })
})

it('as a table has every station in a row, with what each group does', async () => {
  for (const [, session] of sessions) {
    const { heads, rows } = planTable(session, library)
    const stations = session.sections.flatMap((s) => s.blocks.flatMap(stationsOf)).length
    expect(rows.filter((row) => row[2]).length).toBe(stations)
    expect(heads.slice(0, 3)).toEqual(['Part', 'How', 'Move'])
    expect(rows.every((row) => row.length === heads.length)).toBe(true)
  }
  const [, first] = sessions[0]!
  const table = planTable(first, library)
  const bytes = new Uint8Array(await (await excelOf(table)).arrayBuffer())
  const { texts, kind } = await readPlan(bytes, 'session.xlsx')
  expect(kind).toBe('xlsx')
  for (const row of table.rows) expect(texts[0]).toContain(row[2])
})
