import { reorderStations } from '../../session/edits/stations.ts'
import { stationsOf } from '../../session/forms.ts'
import type { Candidate, FixMaker } from './fix.ts'
import { stationOf } from './stationOf.ts'

/** Two rows of the block swap places. Pinned rows and rows with a name in the story stay. */
export const otherOrder: FixMaker = {
  id: 'other-order',
  *candidates(fixing): Generator<Candidate> {
    const place = stationOf(fixing)
    if (!place || place.station.pinned || place.station.storyName) return
    const rows = stationsOf(place.block)
    const ids = rows.map((s) => s.id)
    const own = ids.indexOf(place.station.id)
    for (const [i, row] of rows.entries()) {
      if (i === own || row.pinned || row.storyName) continue
      const order = ids.with(own, row.id).with(i, place.station.id)
      const other = fixing.view.library.moves.get(row.cells.all.move)?.name ?? ''
      yield { facts: { move: other }, session: reorderStations(fixing.view.session, place.block.id, order) }
    }
  },
}
