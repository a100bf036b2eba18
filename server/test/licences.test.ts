import { expect, it } from 'vitest'
import { installed, isWelcome, unwelcome } from '../../scripts/licences.mjs'

it('no installed package has an unaccepted license', () => {
  const all = installed()
  expect(all.length).toBeGreaterThan(500)
  expect(all.map((p) => p.name)).toEqual(expect.arrayContaining(['vue', 'express', 'knex']))
  expect(unwelcome(all)).toEqual([])
})

it('an expression is accepted if one of its choices is accepted completely', () => {
  expect(isWelcome('(MIT OR GPL-3.0-or-later)')).toBe(true)
  expect(isWelcome('MIT AND OFL-1.1')).toBe(true)
  expect(isWelcome('MIT AND AGPL-3.0-only')).toBe(false)
  expect(isWelcome('GPL-3.0-only')).toBe(false)
  expect(isWelcome('none said')).toBe(false)
  const one = (licence: string, runs: boolean) => ({ name: 'x', version: '1.0.0', licence, runs })
  expect(unwelcome([one('SSPL-1.0', false), one('ISC', true)])).toEqual([one('SSPL-1.0', false)])
  // A package tolerated for development is not shipped.
  expect(unwelcome([{ ...one('none said', true), name: 'buffers', version: '0.1.1' }])).toHaveLength(1)
})
