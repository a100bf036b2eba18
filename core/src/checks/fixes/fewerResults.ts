import { setStation } from '../../session/edits/stations.ts'
import { stationsOf } from '../../session/forms.ts'
import type { FixMaker } from './fix.ts'

/** Only the first results are recorded, the rest is just done. */
export const fewerResults: FixMaker = {
  id: 'fewer-results',
  candidates: ({ view, finding }) => {
    const most = Number(finding.facts.most)
    const written = [...view.blocks.values()].flatMap(({ block }) => stationsOf(block)).filter((s) => s.record)
    const session = written
      .slice(most)
      .reduce((now, { id }) => setStation(now, id, { record: undefined }), view.session)
    return [{ facts: { n: most }, session }]
  },
}
