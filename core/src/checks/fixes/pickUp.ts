import { setStation } from '../../session/edits/stations.ts'
import type { FixMaker } from './fix.ts'
import { stationOf } from './stationOf.ts'

/** A line saying that thrown things are picked up first. */
export const pickUp: FixMaker = {
  id: 'pick-up',
  candidates: (fixing) => {
    const place = stationOf(fixing)
    if (!place || place.station.note) return []
    const note = fixing.words.pickUp
    return [{ facts: { words: note }, session: setStation(fixing.view.session, place.station.id, { note }) }]
  },
}
