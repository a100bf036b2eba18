import { addStation, reorderStations } from '../../session/edits/stations.ts'
import { stationsOf } from '../../session/forms.ts'
import { traitsOf } from '../../session/formTraits.ts'
import type { Session } from '../../session/schema.ts'
import type { Cell } from '../../session/station.ts'
import type { PerGroup } from '../../terms/perGroup.ts'
import type { Candidate, FixMaker, Fixing } from './fix.ts'
import { marching } from './marching.ts'
import { withPart } from './newRow.ts'

/** A row put first in a block. */
function first(session: Session, blockId: string, cells: PerGroup<Cell>): Session {
  const added = addStation(session, blockId, cells)
  const block = added.sections.flatMap((s) => s.blocks).find((b) => b.id === blockId)!
  const ids = stationsOf(block).map((s) => s.id)
  return reorderStations(added, blockId, [ids.at(-1)!, ...ids.slice(0, -1)])
}

function* places({ view, finding, words }: Fixing, seconds: number): Generator<Session> {
  const { session } = view
  const cells = marching(view, seconds, 'walk')
  if (!cells) return
  const section = session.sections.find((s) => s.id === finding.where.section)
  const coolDown = finding.rule === 'straight-down' ? section : session.sections.find((s) => s.role === 'coolDown')
  const list = coolDown?.blocks[0]
  if (list && traitsOf(list).plainRows) yield first(session, list.id, cells)
  const last = session.sections.at(-1)
  if (last && finding.rule !== 'straight-down')
    yield withPart(session, { role: 'coolDown', title: words.coolDown }, last.id, cells)
}

/** Walking on the spot between hard work and the floor, or before the end. */
export const walkFirst: FixMaker = {
  id: 'walk-first',
  *candidates(fixing): Generator<Candidate> {
    for (const seconds of [45, 60]) for (const session of places(fixing, seconds)) yield { facts: { seconds }, session }
  },
}
