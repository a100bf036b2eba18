import type { Library } from '../library/library.ts'
import { stationsOf, type Block } from '../session/forms.ts'
import type { Group } from '../terms/group.ts'
import { valueFor } from '../terms/perGroup.ts'
import { defaultOf } from './defaults.ts'

/**
 * Seconds to explain the exercises of some blocks: 15 s for each, 8 s for each further version shown. A lane sees its own version; if lanes
 * differ they watch each other's. Common practice, no source.
 *
 * @param met exercises the children already know
 * @example two moves, one of them in three versions across the lanes: 15 + 15 + 2 × 8 = 46
 */
export function explainingSeconds(
  blocks: readonly Block[],
  groups: readonly Group[],
  library: Pick<Library, 'moves'>,
  met: ReadonlySet<string> = new Set(),
): number {
  const shown = new Map<string, Set<string>>()
  for (const station of blocks.flatMap((b) => stationsOf(b))) {
    for (const group of groups) {
      const { move, version, fromLap = [] } = valueFor(station.cells, group.id)
      if (met.has(move) || !library.moves.has(move)) continue
      const versions = shown.get(move) ?? shown.set(move, new Set()).get(move)!
      for (const shownVersion of [version, ...fromLap.flatMap((change) => change.version ?? [])])
        versions.add(shownVersion)
    }
  }
  let seconds = 0
  for (const versions of shown.values()) {
    seconds += defaultOf('explainMove') + (versions.size - 1) * defaultOf('explainVersion')
  }
  return seconds
}
