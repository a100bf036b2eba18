import { versionsFor } from '../../home/obstacles.ts'
import { setCell } from '../../session/edits/stations.ts'
import { stationsOf } from '../../session/forms.ts'
import type { Cell } from '../../session/station.ts'
import { lowestGrade, type Group } from '../../terms/group.ts'
import type { Move, Version } from '../../terms/move.ts'
import { valueFor } from '../../terms/perGroup.ts'
import { landed } from '../landed.ts'
import type { Session } from '../../session/schema.ts'
import type { Candidate, FixMaker, Fixing } from './fix.ts'

const weighs = (version: Version, move: Move): boolean =>
  (version.kit ?? move.kit).some((k) => ['bottle', 'school-bag'].includes(k.id) && !k.optional)

/** The versions easier than a group's own that it can do in this home, the nearest first. */
function below({ view }: Fixing, group: Group, cell: Cell): Version[] {
  const move = view.library.moves.get(cell.move)
  if (!move) return []
  const own = move.versions.findIndex((v) => v.id === cell.version)
  const fit = new Set(versionsFor(move, view.session.home, view.library, lowestGrade(group)).map((v) => v.id))
  return move.versions
    .slice(0, own)
    .filter((v) => fit.has(v.id))
    .reverse()
}

/** A station some steps down the ladder of its exercise, for the groups of the finding. */
function stepDown(fixing: Fixing, session: Session, stationId: string, cells: (id: string) => Cell, by: number) {
  const { view, groups } = fixing
  let name = ''
  const edited = groups.reduce((now, id) => {
    const group = view.session.groups.find((g) => g.id === id)!
    const lower = below(fixing, group, cells(id))
    const version = lower[Math.min(by, lower.length) - 1]
    if (!version) return now
    name ||= version.name
    const move = view.library.moves.get(cells(id).move)!
    return setCell(now, stationId, [id], ({ load, fromLap: _, ...cell }) => ({
      ...cell,
      version: version.id,
      ...(load && weighs(version, move) && { load }),
    }))
  }, session)
  return { name, edited }
}

/** The stations a finding is about: its own, or all with landings, the most landings first. */
function stations({ view, finding }: Fixing) {
  const all = [...view.blocks.values()].flatMap(({ block }) => stationsOf(block))
  if (finding.where.station) return all.filter((s) => s.id === finding.where.station)
  const weight = (id: string) =>
    Math.max(
      ...view.lanes.map((lane) => landed({ ...lane, steps: lane.steps.filter((step) => step.station === id) }).full),
    )
  return all
    .map((station) => ({ station, n: weight(station.id) }))
    .filter(({ n }) => n > 0)
    .sort((a, b) => b.n - a.n)
    .map(({ station }) => station)
}

/** An easier version of the same exercise. */
export const easierVersion: FixMaker = {
  id: 'easier-version',
  *candidates(fixing): Generator<Candidate> {
    const { session } = fixing.view
    const several = stations(fixing)
    for (const station of several)
      for (const by of [1, 2, 3]) {
        const { name, edited } = stepDown(fixing, session, station.id, (id) => valueFor(station.cells, id), by)
        if (name) yield { facts: { version: name }, session: edited }
      }
    // If one station is not enough: all of them, one after the other.
    let now = session
    for (const station of fixing.finding.where.station ? [] : several) {
      const { name, edited } = stepDown(fixing, now, station.id, (id) => valueFor(station.cells, id), 3)
      now = edited
      if (name) yield { facts: { version: name }, session: now }
    }
  },
}
