import { traitsOf } from '../session/formTraits.ts'
import type { Measure, SetUp } from '../terms/measure.ts'
import { setUpOf } from '../terms/testValue.ts'
import type { Found } from './rule.ts'
import type { CheckView } from './view.ts'

/** A block that measures: its test and the test's set-up. */
export interface Measured {
  section: string
  block: string
  measure: Measure
  setUp: SetUp
}

/** The tests of a session, in order. */
export const measuredIn = ({ blocks, library }: CheckView): Measured[] =>
  [...blocks.values()].flatMap(({ section, block }) => {
    const said = traitsOf(block).measured?.(block)
    const measure = said && library.measures.get(said.test)
    return measure ? [{ section: section.id, block: block.id, measure, setUp: setUpOf(measure, said.setUp) }] : []
  })

/** One finding for each test with something to report, for all groups or some. */
export const perTest = (
  view: CheckView,
  find: (measured: Measured) => (Pick<Found, 'facts'> & { groups?: string[] }) | undefined,
): Found[] =>
  measuredIn(view).flatMap((measured) => {
    const found = find(measured)
    const groups = found?.groups ?? view.lanes.map((lane) => lane.group.id)
    return found ? [{ ...found, where: { section: measured.section, block: measured.block }, groups }] : []
  })
