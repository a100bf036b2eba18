import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import Papa from 'papaparse'
import { tableCell } from '@esfuerzo/core/table'

describe('a cell of a table', () => {
  it.each([
    ['=1+1', "'=1+1"],
    ['+SUM(A1)', "'+SUM(A1)"],
    ['-2', "'-2"],
    ['@cmd', "'@cmd"],
    ['\uff1d1+1', "'\uff1d1+1"],
    ['a;=1+1', "a;'=1+1"],
    ['a, \uff0bB1', "a, '\uff0bB1"],
    ['Squat; then rest', 'Squat; then rest'],
    ['3-5 rounds', '3-5 rounds'],
    ['', ''],
  ])('%s is written %s', (text, cell) => expect(tableCell(text)).toBe(cell))

  it('that is a number stays one, also below zero', () => {
    expect(tableCell(-3)).toBe(-3)
    expect(tableCell(null)).toBeNull()
  })

  it('is never a formula, whatever separator a program uses', () => {
    const signs = fc.constantFrom(';', ',', '\t', '|', '=', '+', '-', '@', '\uff1d', ' ', 'a', '1')
    fc.assert(
      fc.property(fc.string({ unit: signs, maxLength: 12 }), (text) => {
        const csv = Papa.unparse([['x', tableCell(text)]], { quotes: true })
        for (const delimiter of [';', ',', '\t', '|'])
          for (const cell of csv.slice(4).split(delimiter))
            expect(cell.replace(/^["\s]+/, '')).not.toMatch(/^[=+\-@\uff1d\uff0b\uff0d\uff20]/)
      }),
    )
  })
})
