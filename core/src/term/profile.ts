import { checkView, type CheckView } from '../checks/view.ts'
import { libraryFor } from '../library/carryMoves.ts'
import type { Library } from '../library/library.ts'
import { pulseCurve } from '../pulse/pulseCurve.ts'
import { stationsOf, type Form } from '../session/forms.ts'
import { traitsOf } from '../session/formTraits.ts'
import type { Session } from '../session/schema.ts'
import type { Builds } from '../terms/builds.ts'
import type { Family, Move } from '../terms/move.ts'
import { lanesOfClass } from '../terms/laneOfClass.ts'
import { strengthPart } from '../terms/strengthPart.ts'
import { longestMinutes } from '../timing/saidMinutes.ts'

/** What a term needs to know about a session. */
export interface TermSession {
  id: string
  title: string
  /** Predicted for the class's own lane; for the longest without a class. */
  minutes: number
  /** Of the exercises of its main work: warm-up and cool-down practice no family. */
  families: Family[]
  categories: string[]
  builds: Builds[]
  /** Muscle regions its work is for. */
  regions: string[]
  /** Push, pull, legs, core: what its strength work is for. */
  parts: string[]
  /** Of its main part. */
  form: Form | undefined
  strength: boolean
  /** Predicted minutes of the class's own lane, to one decimal; of the middle lane without a class. */
  moderate: number
  vigorous: number
  /** Ids of all its exercises, and of the things it fetches. */
  moves: string[]
  things: string[]
  /** Ids of its tests. */
  tests: string[]
}

const around = ['warmUp', 'coolDown', 'brief']
const strengthens: readonly Builds[] = ['strength', 'power', 'muscularEndurance']

function worked({ session, cells }: CheckView): Move[] {
  const asks = new Set(session.sections.filter((s) => !around.includes(s.role)).map((s) => s.id))
  return [...new Set(cells.filter((c) => asks.has(c.section.id)).map((c) => c.move))]
}

const middle = (values: readonly number[]): number => {
  const sorted = [...values].sort((a, b) => a - b)
  return Math.round(10 * (sorted[Math.floor(sorted.length / 2)] ?? 0)) / 10
}
const distinct = <T>(values: readonly T[]): T[] => [...new Set(values)]

/**
 * A session's properties for a term.
 *
 * @param id of the session
 * @param grades of the class whose term it is
 * @throws {ProblemError} `unknown-move` or `unknown-version`
 */
export function termSession(id: string, session: Session, ours: Library, grades?: readonly number[]): TermSession {
  const library = libraryFor(session, ours)
  const view = checkView(session, ours)
  const moves = worked(view)
  const own = new Set(lanesOfClass(session.groups, grades).map((group) => group.id))
  const lanes = view.lanes.filter(({ group }) => own.has(group.id))
  const minutes = lanes.map(({ steps, group }) => pulseCurve(steps, group, library).minutes)
  const main = session.sections.find((s) => s.role === 'main' || s.role === 'challenge' || s.role === 'game')
  const kit = distinct(
    view.cells.flatMap(({ move, version }) => (version.kit ?? move.kit).flatMap((k) => (k.optional ? [] : [k.id]))),
  )
  return {
    id,
    title: session.title,
    minutes: longestMinutes(lanes.map((lane) => lane.totals.session.seconds)),
    families: distinct(moves.map((m) => m.family)),
    categories: distinct(moves.map((m) => m.category)),
    builds: [...session.aim.builds],
    regions: distinct(
      moves.flatMap((m) => m.muscles.main.flatMap((muscle) => library.muscles.get(muscle)?.region ?? [])),
    ),
    parts: distinct(moves.flatMap((m) => strengthPart[m.family] ?? [])),
    form: (main?.blocks.find((b) => stationsOf(b).length) ?? main?.blocks[0])?.form,
    strength: session.aim.builds.some((b) => strengthens.includes(b)),
    moderate: middle(minutes.map((m) => m.moderate)),
    vigorous: middle(minutes.map((m) => m.vigorous)),
    moves: distinct(view.cells.map((c) => c.move.id)),
    things: kit.filter((thing) => !library.kit.get(thing)?.usual),
    tests: distinct(session.sections.flatMap((s) => s.blocks.flatMap((b) => traitsOf(b).measured?.(b).test ?? []))),
  }
}
