import { describe, expect, it } from 'vitest'
import { mostKg } from '../src/load/homeWeight.ts'
import { bookKg, fromKg, gradesFor, homeKg, nextStep, sheets, toKg, toLitres, type Book } from '@esfuerzo/core'

const school: Book = { sheet: 'A4', pages: 200, paper: 'school', cover: 'soft' }

describe('the weight of household things', () => {
  it('a book: leaves × area × grammage, and its covers, calculated by hand', () => {
    // ISO 216: an A4 sheet is 0.210 m × 0.297 m = 0.06237 m². 100 leaves × 0.06237 × 80 g = 498.96 g, two soft covers of 250 g/m²: 31.185
    // g. Together 530 g.
    expect(bookKg(school)).toBe(0.53)
    // A5 is 0.148 × 0.210 = 0.03108 m². 160 leaves × 0.03108 × 60 = 298.4 g, hard covers 2 × 0.03108 × 1300 = 80.8 g.
    expect(bookKg({ sheet: 'A5', pages: 320, paper: 'novel', cover: 'hard' })).toBe(0.38)
    // A picture book: 16 leaves of A4 at 150 g/m²: 149.7 g, hard covers 162.2 g.
    expect(bookKg({ sheet: 'A4', pages: 32, paper: 'picture', cover: 'hard' })).toBe(0.31)
  })

  it('each A size is half the one before, to the millimeter (ISO 216)', () => {
    expect([Math.floor(sheets.A3[1] / 2), sheets.A3[0]]).toEqual([...sheets.A4])
    expect([Math.floor(sheets.A4[1] / 2), sheets.A4[0]]).toEqual([...sheets.A5])
    expect([Math.floor(sheets.A5[1] / 2), sheets.A5[0]]).toEqual([...sheets.A6])
  })

  it('water weighs a kilogram per liter, and the bottle a little', () => {
    expect(homeKg([{ kind: 'bottle', litres: 0.5 }])).toBe(0.52)
    expect(homeKg([{ kind: 'bottle', litres: 1.5 }])).toBe(1.55)
    // Half a US gallon: 1.892705892 l, with its bottle 1.95 kg.
    expect(homeKg([{ kind: 'bottle', litres: toLitres(0.5, 'gal') }])).toBe(1.95)
    expect(homeKg([])).toBe(0)
  })

  it('adds up: three school books and a packet of rice in a bag', () => {
    const book = { kind: 'book' as const, ...school }
    expect(homeKg([book, book, book, { kind: 'weighed', kg: 0.5 }])).toBe(2.09)
  })

  it('converts between pounds and kilograms by the exact factor', () => {
    expect(toKg(1, 'lb')).toBe(0.45359237)
    expect(fromKg(toKg(3.3, 'lb'), 'lb')).toBeCloseTo(3.3, 12)
    expect(toKg(2, 'kg')).toBe(2)
    expect(toLitres(1, 'gal')).toBe(3.785411784)
  })
})

describe('which weight for which grade', () => {
  it('is none for K–1, and never less for an older grade', () => {
    for (const held of ['hand', 'bag'] as const) {
      expect([mostKg(0, held), mostKg(1, held)]).toEqual([0, 0])
      for (let grade = 1; grade <= 6; grade++)
        expect(mostKg(grade, held)).toBeGreaterThanOrEqual(mostKg(grade - 1, held))
    }
    expect(gradesFor(0.5, 'hand')).toEqual([2, 3, 4, 5, 6])
    expect(gradesFor(0.51, 'hand')).toEqual([4, 5, 6])
    expect(gradesFor(1.55, 'hand')).toEqual([6])
    expect(gradesFor(5, 'bag')).toEqual([])
    expect(gradesFor(0, 'hand')).toEqual([])
  })

  it('increases by one more of the lightest thing available', () => {
    const book = { kind: 'book' as const, ...school }
    const magazine = { kind: 'weighed' as const, kg: 0.12 }
    expect(nextStep([book, book, book], [book, magazine])).toEqual({ add: magazine, kg: 1.71, more: 0.08 })
    expect(nextStep([book, book, book], [book])).toEqual({ add: book, kg: 2.12, more: 0.33 })
    expect(nextStep([book], [])).toBeUndefined()
  })
})
