import { removeStation } from '../../session/edits/stations.ts'
import { stationsOf } from '../../session/forms.ts'
import type { FixMaker } from './fix.ts'
import { stationOf } from './stationOf.ts'

/** Removes the row, unless it is the only one or has a name in the story. */
export const leaveOut: FixMaker = {
  id: 'leave-out',
  candidates: (fixing) => {
    const place = stationOf(fixing)
    const everybody = fixing.groups.length === fixing.view.session.groups.length
    if (!place || !everybody || place.station.storyName || stationsOf(place.block).length < 2) return []
    return [{ facts: {}, session: removeStation(fixing.view.session, place.station.id) }]
  },
}
