import { obstacles, versionsFor } from '../home/obstacles.ts'
import { lowestGrade, type Group } from '../terms/group.ts'
import type { Home } from '../session/schema.ts'
import type { Library } from '../library/library.ts'
import type { Move, Version } from '../terms/move.ts'
import { versionFor } from '../library/versionFor.ts'

/**
 * The version of an exercise for a group in a home: the one it is ready for if that is possible there, otherwise the hardest easier one
 * that is. Equipment with a stand-in does not force an easier version: the child is asked what it uses.
 */
export function versionAtHome(
  move: Move,
  group: Pick<Group, 'grades'>,
  home: Home,
  library: Pick<Library, 'kit'>,
): Version {
  const ready = versionFor(move, group)
  const hard = obstacles(move, ready, home, library).filter(
    (o) => o.code !== 'kit' || o.real || !library.kit.get(o.kit)?.standIns.length,
  )
  if (hard.length === 0) return ready
  const most = move.versions.indexOf(ready)
  const fitting = versionsFor(move, home, library, lowestGrade(group)).filter((v) => move.versions.indexOf(v) <= most)
  return fitting.at(-1) ?? ready
}
