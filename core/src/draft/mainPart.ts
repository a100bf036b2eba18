import { bandOf, limit } from '../checks/limits.ts'
import type { Form } from '../session/forms.ts'
import type { Station } from '../session/station.ts'
import type { Move } from '../terms/move.ts'
import { mapGroups, type PerGroup } from '../terms/perGroup.ts'
import { roomOf } from './ask.ts'
import type { DraftPlace } from './formDraft.ts'
import { luckOf } from './luck.ts'
import { heldRows, pick, type Parts } from './parts.ts'
import { places } from './places.ts'
import { buildsUp, stepsOn, type Plan } from './plans.ts'
import { oneStepOn } from './recent.ts'
import { rowCells, type RowHow } from './rows.ts'
import { storyOf } from './stories.ts'

/** No block of a draft has more rows. */
const mostRows = 60

/** Where a form stands to make its block. */
export function placeOf(parts: Parts, id: string, form: Form, moves: readonly Move[]): DraftPlace {
  const { ask, library, intent, plan } = parts
  const luck = luckOf(ask.seed, intent)
  const room = roomOf(ask)
  const youngest = ask.groups.filter((g) => bandOf(g.grades) === 0).map((g) => g.id)
  const held = heldRows(parts, 'main')
  let made = 0
  return {
    id,
    ask,
    band: room.band,
    library,
    moves,
    row: (move, groups, how = {}) => {
      // Blocks of other sizes are made of the same place: their rows begin anew.
      const stationId = `${id}s${(made = (made % mostRows) + 1)}`
      const kept = id === places.main.block ? held.get(move.id) : undefined
      if (kept) return { ...skillMarks(move, plan), ...kept, id: stationId }
      return mainRow(parts, stationId, move, groups, move.id === plan.skill.id ? how : { ...how, laps: 1 })
    },
    calls: storyOf(parts).story.calls,
    below: (n) => luck(`below ${id} ${form}`, n),
    young: <T>(all: T, young: T): PerGroup<T> =>
      room.youngEarlier && youngest.length && youngest.length < ask.groups.length
        ? mapGroups({ all }, youngest, () => young)
        : { all: room.youngEarlier && youngest.length ? young : all },
  }
}

/** What a child writes down of its skill. */
const recordOf = ({ measures }: Move) => (measures.includes('reps') ? ('reps' as const) : ('seconds' as const))
/** The skill is looked at in one point, and what was done of it is written down. */
const skillMarks = (move: Move, { skill }: Plan): Partial<Station> =>
  move.id === skill.id ? { focus: move.cues[0]!, record: recordOf(move) } : {}

/** For who finds the easiest version too hard. */
const asEasier = ['Half as fast', 'Do half, breathe, do the other half', 'Slowly, and stop when you like'] as const
const asksMuch = ({ cells }: Station, move: Move): boolean =>
  [cells.all, ...Object.values(cells.by ?? {})].some(({ version }) => {
    const [easiest] = move.versions
    return version === easiest!.id && easiest!.met >= limit('easierFrom', 0)
  })

/** A row of the main part: the skill with its point to look at, what comes back a step on. */
function mainRow(parts: Parts, id: string, move: Move, form: Form, how: RowHow): Station {
  const { ask, library, plan } = parts
  const station: Station = { id, cells: rowCells(move, form, ask, library, how) }
  // In a sheet it may come again, in another number: once it is written down.
  const first = id.startsWith(places.main.block) && (how.times ?? 1) === 1
  const built = buildsUp(move, { form, skill: plan.skill })
  const stepped = !built && (how.times ?? 1) === 1 && stepsOn(move, form, ask, library, built)
  const cells = stepped
    ? ask.groups.reduce((now, group) => {
        const cell = oneStepOn(station, group, form, ask, library)
        return cell ? mapGroups(now, [group.id], () => cell) : now
      }, station.cells)
    : station.cells
  return {
    ...station,
    cells,
    ...(first ? skillMarks(move, plan) : {}),
    ...easierWords({ ...station, cells }, move, parts),
  }
}

/** What is said to who finds a row too hard, where it has no easier version. */
export const easierWords = (station: Station, move: Move, { ask, intent }: Parts): Partial<Station> =>
  asksMuch(station, move) ? { easier: pick(asEasier, luckOf(ask.seed, intent)(move.id, 60)) } : {}
