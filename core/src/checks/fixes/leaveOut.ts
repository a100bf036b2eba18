import { removeStation } from '../../session/edits/stations.ts'
import { stationsOf } from '../../session/forms.ts'
import type { FixMaker } from './fix.ts'
import { stationOf } from './stationOf.ts'

/** The row is left out, where it is not the only one and has no name in the story. */
export const leaveOut: FixMaker = {
  id: 'leave-out',
  candidates: (fixing) => {
    const place = stationOf(fixing)
    const everybody = fixing.groups.length === fixing.view.session.groups.length
    if (!place || !everybody || place.station.storyName || stationsOf(place.block).length < 2) return []
    return [{ facts: {}, session: removeStation(fixing.view.session, place.station.id) }]
  },
}
