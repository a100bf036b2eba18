import { libraryFor } from '../library/carryMoves.ts'
import type { Library } from '../library/library.ts'
import { performedBy } from '../library/versionFor.ts'
import { traitsOf } from '../session/formTraits.ts'
import { stationsOf, type Block } from '../session/forms.ts'
import type { Home, Session } from '../session/schema.ts'
import { setUpOf } from '../terms/testValue.ts'
import { valueFor } from '../terms/perGroup.ts'
import { hasKit } from './obstacles.ts'

/** One thing to fetch before a session starts. */
export interface Fetch {
  kit: string
  name: string
  /** What is used instead if the home does not have it. */
  standIn?: string
  /** What else would do. */
  standIns: string[]
  /** What a child asks first. */
  ask?: string
  /** Optional: it only makes the floor softer. */
  optional: boolean
  /** Ids of the groups that need it. */
  groups: string[]
  /** Ids of the moves it is for. */
  moves: string[]
  /** Missing, without a stand-in. */
  missing: boolean
}

/**
 * The equipment a session needs at home, for all its groups: required things first, each in order of first use.
 *
 * @throws {ProblemError} `unknown-move` or `unknown-version`
 */
export function fetchList(session: Pick<Session, 'groups' | 'sections' | 'home' | 'moves'>, ours: Library): Fetch[] {
  const library = libraryFor(session, ours)
  const things = new Map<string, Fetch>()
  const { home } = session
  for (const block of session.sections.flatMap((s) => s.blocks)) {
    for (const id of measuredKit(block, library)) {
      const thing = things.get(id) ?? newFetch(id, home, library)
      if (!thing) continue
      things.set(id, thing)
      thing.optional = false
      thing.groups = session.groups.map((g) => g.id)
    }
    for (const station of stationsOf(block)) {
      for (const group of session.groups) {
        const cell = valueFor(station.cells, group.id)
        const versions = [cell.version, ...(cell.fromLap ?? []).flatMap((lap) => lap.version ?? [])]
        for (const version of versions) {
          for (const need of performedBy({ move: cell.move, version }, library).kit) {
            const thing = things.get(need.id) ?? newFetch(need.id, home, library)
            if (!thing) continue
            things.set(need.id, thing)
            thing.optional &&= Boolean(need.optional)
            if (need.standIn === false) real(thing)
            if (!thing.groups.includes(group.id)) thing.groups.push(group.id)
            if (!thing.moves.includes(cell.move)) thing.moves.push(cell.move)
          }
        }
      }
    }
  }
  return [...things.values()]
    .map((thing) => ({ ...thing, missing: thing.missing && !thing.optional }))
    .sort((a, b) => Number(a.optional) - Number(b.optional))
}

/** Ids of the things a block's test is set up with. */
function measuredKit(block: Block, library: Library): readonly string[] {
  const measured = traitsOf(block).measured?.(block)
  const measure = measured && library.measures.get(measured.test)
  return measure ? setUpOf(measure, measured.setUp).kit : []
}

/** One of the exercises needs the real thing: no stand-in is offered, and a chosen stand-in does not count. */
function real(thing: Fetch): void {
  thing.standIns = []
  if (!thing.standIn) return
  delete thing.standIn
  thing.missing = true
}

function newFetch(id: string, home: Home, library: Library): Fetch | undefined {
  const item = library.kit.get(id)
  if (!item) return undefined
  const standIn = home.kit.includes(id) ? undefined : home.standIns[id]
  return {
    kit: id,
    name: item.name,
    ...(standIn && { standIn }),
    standIns: item.standIns,
    ...(item.ask && { ask: item.ask }),
    optional: true,
    groups: [],
    moves: [],
    missing: !hasKit(home, id, library) && !standIn,
  }
}
