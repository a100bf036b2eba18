import { addStation } from '../../session/edits/stations.ts'
import { stationsOf } from '../../session/forms.ts'
import { traitsOf } from '../../session/formTraits.ts'
import { limit } from '../limits.ts'
import type { Candidate, FixMaker } from './fix.ts'
import { longerRow, marching } from './marching.ts'
import { withPart } from './newRow.ts'

const tens = (seconds: number): number => Math.max(10, Math.ceil(seconds / 10) * 10)

/** More easy moving before: a row of the warm-up gets longer, or they march on the spot. */
export const moreMoving: FixMaker = {
  id: 'more-moving',
  *candidates({ view, finding, words }): Generator<Candidate> {
    const { session } = view
    const { moved = 0, wanted = limit('warmBeforeTest', 0) } = finding.facts
    const before = session.sections.findIndex((s) => s.id === finding.where.section)
    const seconds = tens(Number(wanted) - Number(moved))
    const warmUps = session.sections.slice(0, before + 1).filter((s) => s.role === 'warmUp')
    for (const by of [seconds, seconds + 20])
      for (const row of warmUps.flatMap((s) => s.blocks).flatMap((b) => stationsOf(b))) {
        const family = view.library.moves.get(row.cells.all.move)?.family
        if (family === 'travel' && row.cells.all.dose?.unit === 'seconds')
          yield { facts: { seconds: by }, session: longerRow(session, row.id, by) }
      }
    const list = warmUps.flatMap((s) => s.blocks).find((b) => traitsOf(b).plainRows)
    for (const by of [seconds, seconds + 20]) {
      const cells = marching(view, by, 'march')
      if (!cells) return
      if (list) yield { facts: { seconds: by }, session: addStation(session, list.id, cells) }
      const after = before > 0 ? session.sections[before - 1]!.id : null
      yield {
        facts: { seconds: by },
        session: withPart(session, { role: 'warmUp', title: words.warmUp }, after, cells),
      }
    }
  },
}
