import { setCell } from '../../session/edits/stations.ts'
import { limit } from '../limits.ts'
import type { FixMaker } from './fix.ts'
import { stationOf } from './stationOf.ts'

/** The weight that this age starts with. */
export const lighter: FixMaker = {
  id: 'lighter',
  candidates: (fixing) => {
    const place = stationOf(fixing)
    if (!place) return []
    const { most } = fixing.finding.facts
    const weights = typeof most === 'number' ? [most] : [limit('youngLoadStop', 0), limit('overheadFree', 1)]
    return weights.map((kg) => ({
      facts: { kg },
      session: setCell(fixing.view.session, place.station.id, fixing.groups, (cell) => ({ ...cell, load: { kg } })),
    }))
  },
}
