import { setStation } from '../../session/edits/stations.ts'
import type { FixMaker } from './fix.ts'
import { stationOf } from './stationOf.ts'

/** Words for an easier way: half the dose. */
export const easierWords: FixMaker = {
  id: 'easier-words',
  candidates: (fixing) => {
    const place = stationOf(fixing)
    if (!place || place.station.easier) return []
    const { easier } = fixing.words
    return [{ facts: { words: easier }, session: setStation(fixing.view.session, place.station.id, { easier }) }]
  },
}
