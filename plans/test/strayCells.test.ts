import { strFromU8, strToU8, unzipSync, zipSync } from 'fflate'
import { describe, expect, it } from 'vitest'
import { planBounds } from '../src/bounds.ts'
import { readPlan } from '../src/readPlan.ts'
import { columnNumber, withoutStrayCells } from '../src/strayCells.ts'
import { xlsx } from './support/made.ts'

const bounds = { rows: 3, columns: 2 }
const sheet = (rows: string) =>
  strToU8(`<worksheet><dimension ref="A1:XFD1048576"/><sheetData>${rows}</sheetData></worksheet>`)
const cut = (rows: string) => {
  const { xml, rows: used } = withoutStrayCells(sheet(rows), bounds)
  return { text: /<sheetData>(.*)<\/sheetData>/.exec(strFromU8(xml))![1], used, all: strFromU8(xml) }
}

describe('cells outside of a plan', () => {
  it('are left out, with the sheet’s own size; those inside stay unchanged', () => {
    const { text, used, all } = cut(
      '<row r="1"><c r="A1"><v>1</v></c><c r="XFD1"><v>9</v></c></row><row r="1048576"><c r="A1048576"><v>9</v></c></row>',
    )
    expect(text).toBe('<row r="1"><c r="A1"><v>1</v></c></row>')
    expect([used, all.includes('dimension')]).toEqual([2, false])
  })

  it('are counted in rows without a number too, full or empty, with any prefix', () => {
    expect(cut('<x:row><x:c r="A1"/></x:row><row r="9"/><row r="2"><c r="C2"/><c r="B2"><v>4</v></c></row>').text).toBe(
      '<x:row><x:c r="A1"/></x:row><row r="2"><c r="B2"><v>4</v></c></row>',
    )
  })

  it('have columns of one to three letters', () => {
    expect(['A', 'Z', 'AA', 'XFD'].map(columnNumber)).toEqual([1, 26, 27, 16_384])
  })

  it('in the last place of a sheet cost nothing, and the plan next to them is read', async () => {
    const parts = unzipSync(
      await xlsx({
        Monday: [
          ['Squats', 10],
          ['Plank', 20],
        ],
      }),
    )
    const name = 'xl/worksheets/sheet1.xml'
    const stray = '<row r="1048576"><c r="XFD1048576" t="n"><v>1</v></c></row></sheetData>'
    const file = zipSync({ ...parts, [name]: strToU8(strFromU8(parts[name]!).replace('</sheetData>', stray)) })
    expect(file.length).toBeLessThan(20_000)
    const { texts } = await readPlan(file, 'stray.xlsx')
    expect(texts.join()).toContain('Squats')
    expect(texts.join()).toContain('Plank')
  })

  it('are searched in one pass, even if elements are not closed', () => {
    // A scan for each of a hundred thousand would take minutes.
    const open = '<row r="9"><c r="A9">'.repeat(100_000)
    expect(withoutStrayCells(sheet(open), planBounds).rows).toBeGreaterThan(planBounds.rows)
    expect(withoutStrayCells(strToU8('<c '.repeat(200_000)), planBounds).rows).toBe(0)
  })
})
