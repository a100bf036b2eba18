import { changeBlock } from '../../session/edits/locate.ts'
import { traitsOf } from '../../session/formTraits.ts'
import { limit } from '../limits.ts'
import type { FixMaker } from './fix.ts'
import { stationOf } from './stationOf.ts'

/** The number of sets children need. */
export const fewerSets: FixMaker = {
  id: 'fewer-sets',
  candidates: (fixing) => {
    const place = stationOf(fixing)
    const atMost = place && traitsOf(place.block).setsAtMost
    if (!atMost) return []
    const most = limit('loadedSets', 0)
    const session = changeBlock(fixing.view.session, place.block.id, (block) => atMost(block, fixing.groups, most))
    return [{ facts: { n: most }, session }]
  },
}
