import { stationsOf, type Block } from '../../session/forms.ts'
import type { Section } from '../../session/schema.ts'
import type { Station } from '../../session/station.ts'
import type { Fixing } from './fix.ts'

/** A station with its place. */
export interface StationPlace {
  section: Section
  block: Block
  station: Station
}

/** The station of a finding, with its place. */
export function stationOf({ view, finding }: Fixing): StationPlace | undefined {
  const { block: blockId, station: id } = finding.where
  const place = blockId === undefined ? undefined : view.blocks.get(blockId)
  const station = place && stationsOf(place.block).find((s) => s.id === id)
  return place && station && { ...place, station }
}
