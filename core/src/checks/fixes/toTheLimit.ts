import { setCell } from '../../session/edits/stations.ts'
import { changeBlock } from '../../session/edits/locate.ts'
import { traitsOf } from '../../session/formTraits.ts'
import { valueFor } from '../../terms/perGroup.ts'
import type { Dose } from '../../terms/dose.ts'
import type { Candidate, FixMaker } from './fix.ts'
import { stationOf } from './stationOf.ts'

/** As many reps or seconds as the limit allows, in the row or in its block's clock. */
export const toTheLimit: FixMaker = {
  id: 'to-the-limit',
  *candidates(fixing): Generator<Candidate> {
    const place = stationOf(fixing)
    const { view, finding, groups } = fixing
    if (!place) return
    const { least, most } = finding.facts
    for (const n of [most, least]) {
      if (typeof n !== 'number') continue
      const amount = Math.round(n)
      const unit = finding.facts.reps === undefined ? 'seconds' : 'reps'
      const dose: Dose = { unit, amount }
      const own = groups.filter((id) => valueFor(place.station.cells, id).dose)
      if (own.length)
        yield {
          facts: { n: amount, unit },
          session: setCell(view.session, place.station.id, own, (cell) => ({ ...cell, dose })),
        }
      const change = traitsOf(place.block).withLaps
      if (change && unit === 'seconds') {
        const session = changeBlock(view.session, place.block.id, (block) =>
          change(block, groups, (lap) => ({ ...lap, work: Math.min(lap.work, amount) })),
        )
        yield { facts: { n: amount, unit }, session }
      }
    }
  },
}
