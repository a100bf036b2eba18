import { setCell } from '../../session/edits/stations.ts'
import type { FixMaker } from './fix.ts'
import { stationOf } from './stationOf.ts'

/** The same without the weight. */
export const noLoad: FixMaker = {
  id: 'no-load',
  candidates: (fixing) => {
    const place = stationOf(fixing)
    if (!place) return []
    const session = setCell(fixing.view.session, place.station.id, fixing.groups, ({ load: _, ...cell }) => cell)
    return [{ facts: {}, session }]
  },
}
