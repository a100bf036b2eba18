import type { Block } from '../forms.ts'
import { hasStations } from '../forms.ts'
import { nextId } from '../../base/id.ts'
import type { Section, Session } from '../schema.ts'
import type { Station } from '../station.ts'
import { idsOf } from './locate.ts'

/**
 * A copy of a section, block or station with ids that are free in a session.
 *
 * @param session whose ids are taken
 */
export function fresh<T extends Section | Block | Station>(session: Session, part: T): T {
  const taken = new Set(idsOf(session))
  const id = (prefix: string) => {
    const next = nextId(taken, prefix)
    taken.add(next)
    return next
  }
  const station = (s: Station): Station => ({ ...s, id: id('s') })
  const block = (b: Block): Block =>
    hasStations(b) ? { ...b, id: id('b'), stations: b.stations.map(station) } : { ...b, id: id('b') }
  if ('blocks' in part) return { ...part, id: id('p'), blocks: part.blocks.map(block) }
  if ('form' in part) return block(part) as T
  return station(part as Station) as T
}
