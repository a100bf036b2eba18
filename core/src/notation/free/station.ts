import { cleanText } from '../../base/text.ts'
import { limits } from '../../base/limits.ts'
import { cellsFor } from '../../library/cellsFor.ts'
import type { Library } from '../../library/library.ts'
import { traitsOf } from '../../session/formTraits.ts'
import type { Form } from '../../session/forms.ts'
import type { Cell, Face, Station } from '../../session/station.ts'
import type { Dose } from '../../terms/dose.ts'
import type { Group } from '../../terms/group.ts'
import type { OwnMove } from '../../terms/ownMove.ts'
import { valueFor, type PerGroup } from '../../terms/perGroup.ts'
import { normalCells } from '../normalCells.ts'
import type { Named } from '../names.ts'
import { groupsMeant } from './groups.ts'
import { provisionalMove } from './ownMove.ts'
import type { FreeRow } from './row.ts'

/** What stations and blocks are made with. */
export interface StationMaker {
  library: Library
  groups: readonly Group[]
  /** Moves nobody knows yet, by id, as they are met. */
  own: Map<string, OwnMove>
  id: (prefix: 'b' | 's') => string
  /** The line each station stands in, from 0, by its id. */
  lines: Map<string, number>
}

/** The move a row does: one that is known, a rest, or one of the teacher's own under its name. */
export function namedOf(row: FreeRow, make: StationMaker): Named | undefined {
  if (row.understood.named) return row.understood.named
  if (isRestRow(row)) return { move: make.library.moves.get('breathe')! }
  const made = provisionalMove(row.name, row.eachSide)
  if (!made) return undefined
  const before = make.own.get(made.move.id) ?? made
  make.own.set(made.move.id, before)
  return { move: before.move }
}
/** A rest in a row's place. */
export const isRestRow = (row: FreeRow): boolean => /^rest\b/i.test(row.name) && !row.understood.named

const faceOf: Readonly<Record<string, Face>> = {
  head: 'heads',
  heads: 'heads',
  tail: 'tails',
  tails: 'tails',
  heart: 'hearts',
  hearts: 'hearts',
  diamond: 'diamonds',
  diamonds: 'diamonds',
  club: 'clubs',
  clubs: 'clubs',
  spade: 'spades',
  spades: 'spades',
  '1': 'one',
  '2': 'two',
  '3': 'three',
  '4': 'four',
  '5': 'five',
  '6': 'six',
}
export const face = (row: FreeRow): Face | undefined => faceOf[row.label?.toLowerCase() ?? '']

/**
 * A row as a station of a form, with the dose the row says or its move begins with.
 *
 * @param each the dose of rows without one, by group
 */
export function freeStation(row: FreeRow, form: Form, make: StationMaker, each?: PerGroup<Dose>): Station | undefined {
  const { groups, library } = make
  const named = namedOf(row, make)
  if (!named) return undefined
  const { move, version } = named
  const ready = cellsFor(move, groups, form)
  const doubled = (dose: Dose): Dose => {
    // "Hops 20 s" are twenty in all; a stretch or a balance is held so long on each side whatever is said.
    if (
      !row.eachSide &&
      move.sides === 'each' &&
      row.dose &&
      dose.unit === 'seconds' &&
      typeof dose.amount === 'number' &&
      move.measures[0] === 'reps'
    )
      return { ...dose, amount: Math.max(1, Math.round(dose.amount / 2)) }
    return row.eachSide && move.sides === 'alternating' && typeof dose.amount === 'number' && dose.unit === 'reps'
      ? { ...dose, amount: Math.min(limits.seconds, dose.amount * 2) }
      : dose
  }
  const cellOf = (group: Group): Cell => {
    const { dose: first, ...cell } = valueFor(ready, group.id)
    const own = row.doses?.find(({ grades }) => groupsMeant(grades, groups).includes(group.id))?.dose
    const dose = own ?? row.dose ?? (each && valueFor(each, group.id)) ?? first
    const oneOf = row.or.flatMap((o) => (o.named && o.named.move.id !== move.id ? [o.named.move.id] : []))
    return {
      ...cell,
      ...(version && { version }),
      ...(dose && { dose: takenBy(move.measures, doubled(dose)) }),
      ...(oneOf.length && { oneOf: [...new Set(oneOf)].slice(0, 5) }),
    }
  }
  const by = Object.fromEntries(groups.map((g) => [g.id, cellOf(g)]))
  const cells = normalCells(
    { all: by[groups[0]!.id]!, by },
    groups.map((g) => g.id),
    library,
  )
  const chosen = face(row)
  const words = [
    ...(row.label && !chosen && !/^(?:min|station|stn|\d|odd|even)/i.test(row.label) ? [row.label] : []),
    ...(isRestRow(row) ? [row.name] : []),
    ...row.note,
  ]
  const note = cleanText(words.join('; '), 'paragraph').trim()
  const line = (text: string) => cleanText(text, 'line').trim()
  const id = make.id('s')
  if (row.line !== undefined) make.lines.set(id, row.line)
  return {
    id,
    cells,
    ...(traitsOf({ form }).faced && chosen && { face: chosen }),
    ...(note && { note }),
    ...(row.easier && line(row.easier) && { easier: line(row.easier) }),
    ...(row.harder && line(row.harder) && { harder: line(row.harder) }),
  }
}

/** A move that is not counted in reps takes the number as what it is measured in. */
const takenBy = (measures: readonly string[], dose: Dose): Dose =>
  dose.unit === 'reps' && !measures.includes('reps') ? { ...dose, unit: measures[0] as Dose['unit'] } : dose
