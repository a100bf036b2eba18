import { reorderStations } from '../../session/edits/stations.ts'
import { stationsOf } from '../../session/forms.ts'
import type { FixMaker } from './fix.ts'
import { stationOf } from './stationOf.ts'

/** The stretch comes after the moving rows. */
export const stretchLater: FixMaker = {
  id: 'stretch-later',
  candidates: (fixing) => {
    const place = stationOf(fixing)
    if (!place || place.station.storyName || place.station.pinned) return []
    const others = stationsOf(place.block).filter((s) => s.id !== place.station.id)
    if (!others.length) return []
    const order = [...others, place.station].map((s) => s.id)
    return [{ facts: {}, session: reorderStations(fixing.view.session, place.block.id, order) }]
  },
}
