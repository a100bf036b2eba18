import { putCells } from '../../choose/putMove.ts'
import { versionsFor } from '../../home/obstacles.ts'
import { addSection } from '../../session/edits/sections.ts'
import { addStation } from '../../session/edits/stations.ts'
import { traitsOf } from '../../session/formTraits.ts'
import type { Role, Session } from '../../session/schema.ts'
import type { Cell } from '../../session/station.ts'
import { lowestGrade } from '../../terms/group.ts'
import type { Move } from '../../terms/move.ts'
import type { PerGroup } from '../../terms/perGroup.ts'
import type { Fixing } from './fix.ts'
import { metByYoungest } from './met.ts'

/** Whether everybody can do an exercise here, and the youngest have met it. */
export function canBeAdded({ view }: Fixing, move: Move): boolean {
  const { session, library } = view
  const met = metByYoungest(view)
  const fits = session.groups.every((g) => versionsFor(move, session.home, library, lowestGrade(g)).length > 0)
  return fits && (!met || met.has(move.id))
}

/** The session with a new section of one row after another section; null puts it first. */
export function withPart(
  session: Session,
  part: { role: Role; title: string },
  after: string | null,
  cells: PerGroup<Cell>,
): Session {
  const added = addSection(session, part, after)
  const at = after === null ? 0 : added.sections.findIndex((s) => s.id === after) + 1
  return addStation(added, added.sections[at]!.blocks[0]!.id, cells)
}

/** The session with an exercise as the last row of its cool-down, which is added if missing. */
export function withCoolDownRow({ view, words }: Fixing, move: Move): Session {
  const { session, library } = view
  const cells = putCells(move, session.groups, { form: 'list', home: session.home }, library)
  const there = session.sections.find((s) => s.role === 'coolDown')?.blocks.find((b) => traitsOf(b).plainRows)
  if (there) return addStation(session, there.id, cells)
  return withPart(session, { role: 'coolDown', title: words.coolDown }, session.sections.at(-1)?.id ?? null, cells)
}
