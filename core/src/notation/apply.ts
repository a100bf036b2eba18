import type { Library } from '../library/library.ts'
import { sameValue } from '../base/sameValue.ts'
import { hasStations, stationsOf, type Block, type StationBlock } from '../session/forms.ts'
import { laneLetters, type Group } from '../terms/group.ts'
import { looksPerGroup } from '../terms/perGroup.ts'
import { readSession } from '../session/readSession.ts'
import type { Section, Session } from '../session/schema.ts'
import type { Station } from '../session/station.ts'
import { limits } from '../base/limits.ts'
import { carryMoves, libraryFor } from '../library/carryMoves.ts'
import { isProvisional } from './free/ownMove.ts'
import type { Question } from './free/questions.ts'
import { noReadings } from './free/understandName.ts'
import { plainName } from './names.ts'
import type { Move } from '../terms/move.ts'
import { parse, type Parsed } from './parse.ts'
import { readText, type ReadTextOptions } from './readText.ts'
import { renamedGroups, strip } from './strip.ts'
import { stripText } from './stripText.ts'
import { stripHead } from './sectionHead.ts'
import type { TextProblem } from './textProblem.ts'

/**
 * Maps each entry of a new list to an entry of the old one: first equal ones in order, then those in between by position if `near` accepts
 * them.
 *
 * @returns for each new entry the index of the old one, or undefined
 */
function matched<A, B>(
  before: readonly A[],
  after: readonly B[],
  alike: (a: A, b: B) => boolean,
  near: (a: A, b: B) => boolean,
): (number | undefined)[] {
  const n = before.length
  const m = after.length
  // Longest common subsequence; lists have at most 200 entries.
  const best = Array.from({ length: n + 1 }, () => new Uint16Array(m + 1))
  for (let i = n - 1; i >= 0; i--)
    for (let j = m - 1; j >= 0; j--)
      best[i]![j] = alike(before[i]!, after[j]!)
        ? best[i + 1]![j + 1]! + 1
        : Math.max(best[i + 1]![j]!, best[i]![j + 1]!)
  const result: (number | undefined)[] = Array(m).fill(undefined)
  for (let i = 0, j = 0; i < n && j < m;) {
    if (alike(before[i]!, after[j]!)) result[j++] = i++
    else if (best[i + 1]![j]! >= best[i]![j + 1]!) i++
    else j++
  }
  const used = new Set(result.filter((i) => i !== undefined))
  let last = -1
  for (let j = 0; j < m; j++) {
    if (result[j] !== undefined) {
      last = result[j]!
      continue
    }
    const until = result.slice(j).find((i) => i !== undefined) ?? n
    for (let i = last + 1; i < until; i++) {
      if (used.has(i) || !near(before[i]!, after[j]!)) continue
      result[j] = last = i
      used.add(i)
      break
    }
  }
  return result
}

/** The effect of a text on a session. */
export interface Applied {
  workout: Session
  problems: TextProblem[]
}

/**
 * Changes a session to what a text says, and keeps everything the text cannot say: ids, pins, equipment, vocabulary, links, notes of what
 * is untouched. Stations are matched by section, order and exercise.
 *
 * @throws {ProblemError} if the text is not a valid session: too many of something
 * @example apply(print(w), w) // w itself, value for value
 */
export function apply(text: string, previous: Session, library: Library): Applied {
  const known = libraryFor(previous, library)
  const parsed = parse(text, known, strip(previous, known).groups)
  const carrying = withBrought(previous, parsed.workout.moves)
  const session = merged(parsed, carrying, known)
  // Carried exercises that are no longer used are dropped: a text doesn't mention them.
  return { workout: session, problems: parsed.problems }
}

/** A session that also carries the exercises a text brings. */
function withBrought(previous: Session, brought: Session['moves'] = []): Session {
  const more = brought.filter(({ move }) => !previous.moves?.some((o) => o.move.id === move.id))
  if (!more.length) return previous
  return { ...previous, moves: [...(previous.moves ?? []), ...more].slice(0, limits.ownMoves) }
}

/** The effect of any text on a session, and its open questions. */
export interface AppliedText extends Applied {
  questions: Question[]
  /** The line of each section, block and station, from 1, by its id in the session. */
  lines: ReadonlyMap<string, number>
}

/**
 * Changes a session to what any text says, like {@link apply}; its own groups stay, and new exercises named in the text are added to the
 * session.
 *
 * @param told the teacher's answers on what words mean; the school's country; the answers about this text
 * @throws {ProblemError} if the text is not a valid session: too many of something
 */
export function applyText(
  text: string,
  previous: Session,
  library: Library,
  told: Pick<ReadTextOptions, 'readings' | 'country' | 'choices'> = {},
): AppliedText {
  const { readings = noReadings } = told
  // What its teacher said is something else is no longer an own exercise.
  const answered = (name: string) => ![undefined, 'own'].includes(readings.get(plainName(name)))
  const moves = previous.moves?.filter(({ move }) => !isProvisional(move) || !answered(move.name))
  const known = libraryFor(
    { ...(moves && { moves }) },
    withoutMoves(library, (move) => isProvisional(move) && answered(move.name)),
  )
  const read = readText(text, known, { ...told, groups: strip(previous, known).groups, keepGroups: true })
  const carrying = withBrought(previous, read.workout.moves)
  const session = merged(read, carrying, libraryFor(previous, library))
  return {
    workout: carryMoves(session, libraryFor(carrying, library)),
    problems: read.problems,
    questions: read.questions,
    lines: linesIn(session, read),
  }
}

/** The line numbers of a text's parts by their ids in the session, which has the same parts in the same order. */
function linesIn(session: Session, { workout: said, lines }: Pick<Parsed, 'workout' | 'lines'>): Map<string, number> {
  const ids = partIds(said.sections)
  return new Map(partIds(session.sections).flatMap((id, i) => (lines.has(ids[i]!) ? [[id, lines.get(ids[i]!)!]] : [])))
}

/** A library without some exercises; the same object if it has none of them. */
function withoutMoves(library: Library, gone: (move: Move) => boolean): Library {
  const moves = [...library.moves].filter(([, move]) => !gone(move))
  return moves.length === library.moves.size ? library : { ...library, moves: new Map(moves) }
}

function merged(parsed: Parsed, previous: Session, library: Library): Session {
  const now = parsed.workout
  const before = strip(previous, library)
  const groups = mergedGroups(now.groups, previous, before)
  // Maps ids as in the text (g1 …) to those of the session.
  const ids = new Map(now.groups.map((g, i) => [g.id, groups[i]!.id]))
  const taken = new Set(groups.map((g) => g.id))

  let result: Session = {
    ...previous,
    ...(parsed.said.title && before.title !== now.title && { title: now.title }),
    ...(parsed.said.minutes && { minutes: now.minutes }),
    ...(parsed.said.details && { finishTogether: now.finishTogether }),
    groups,
    aim: mergedAim(parsed, previous, before),
    home: {
      ...previous.home,
      ...(parsed.said.space && { space: now.home.space }),
      ...(parsed.said.details && {
        quiet: now.home.quiet,
        company: now.home.company,
        outdoors: now.home.outdoors,
      }),
    },
    sections: [],
  }
  const same = matched(
    before.sections,
    now.sections,
    (a, b) => a.title === b.title && a.role === b.role,
    () => true,
  )
  const sections = now.sections.map((section, j): Section => {
    const i = same[j]
    return i === undefined
      ? (withGroups(section, ids) as Section)
      : mergedSection(section, previous.sections[i]!, before.sections[i]!, ids, previous, taken)
  })
  // New parts get ids that the old session did not use.
  const known = new Set(partIds(previous.sections))
  const claimed = new Set<string>()
  result = { ...result, sections: sections.map((section) => numbered(section, known, claimed)) }
  return readSession(result)
}

const partIds = (sections: readonly Section[]): string[] =>
  sections.flatMap((s) => [s.id, ...s.blocks.flatMap((b) => [b.id, ...stationsOf(b).map((x) => x.id)])])

/** A section whose new parts have free ids; ids of the session are kept, each used once. */
function numbered(section: Section, known: ReadonlySet<string>, claimed: Set<string>): Section {
  const free = (prefix: string) => {
    let n = 1
    while (known.has(`${prefix}${n}`) || claimed.has(`${prefix}${n}`)) n++
    claimed.add(`${prefix}${n}`)
    return `${prefix}${n}`
  }
  const id = (was: string, prefix: string) => {
    if (!was.startsWith(newMark) && known.has(was) && !claimed.has(was)) {
      claimed.add(was)
      return was
    }
    return free(prefix)
  }
  return {
    ...section,
    id: id(section.id, 'p'),
    blocks: section.blocks.map((block) => {
      const named = { ...block, id: id(block.id, 'b') } as Block
      return hasStations(named)
        ? ({ ...named, stations: named.stations.map((s) => ({ ...s, id: id(s.id, 's') })) } as Block)
        : named
    }),
  }
}
/** Prefix of the ids of new parts until they get one. */
const newMark = '\u0000'

/** A parsed part with the session's group ids, and its own ids marked as new. */
function withGroups(part: unknown, ids: ReadonlyMap<string, string>): unknown {
  const walk = (value: unknown, key?: string): unknown => {
    if (key === 'id') return `${newMark}${String(value)}`
    if (value === null || typeof value !== 'object') return value
    if (Array.isArray(value)) return value.map((v) => walk(v))
    if (looksPerGroup(value)) return renamedGroups(value, ids)
    return Object.fromEntries(Object.entries(value).map(([k, v]) => [k, walk(v, k)]))
  }
  return walk(part)
}

function mergedGroups(now: readonly Group[], previous: Session, before: Session): Group[] {
  const same = matched(
    before.groups,
    now,
    (a, b) => a.name === b.name && sameValue(a.grades, b.grades),
    () => true,
  )
  const used = new Set(same.flatMap((i) => (i === undefined ? [] : [previous.groups[i]!.letter])))
  const taken = new Set(previous.groups.map((g) => g.id))
  return now.map((group, j) => {
    const i = same[j]
    if (i !== undefined) {
      const was = previous.groups[i]!
      const { name, grades, ages } = group
      return sameValue({ name, grades }, { name: before.groups[i]!.name, grades: before.groups[i]!.grades })
        ? was
        : { ...was, name, grades, ages }
    }
    const letter = laneLetters.find((l) => !used.has(l))!
    used.add(letter)
    let n = 1
    while (taken.has(`g${n}`)) n++
    taken.add(`g${n}`)
    return { ...group, id: `g${n}`, letter }
  })
}

function mergedAim({ workout: now, said }: Parsed, previous: Session, before: Session): Session['aim'] {
  return {
    ...previous.aim,
    ...(said.details && !sameValue(now.aim.builds, before.aim.builds) && { builds: now.aim.builds }),
    ...((said.details || now.aim.target) && now.aim.target !== before.aim.target && { target: now.aim.target }),
  }
}

function mergedSection(
  now: Section,
  was: Section,
  before: Section,
  ids: ReadonlyMap<string, string>,
  previous: Session,
  taken: ReadonlySet<string>,
): Section {
  const same = matched(
    before.blocks,
    now.blocks,
    (a, b) => a.form === b.form && a.title === b.title,
    (a, b) => a.form === b.form,
  )
  const blocks = now.blocks.map((block, j) => {
    const i = same[j]
    return i === undefined
      ? (withGroups(block, ids) as Block)
      : mergedBlock(block, was.blocks[i]!, before.blocks[i]!, ids, previous, taken)
  })
  const head = sameValue(stripHead(now), stripHead(was))
    ? pick(was, ['role', 'title', 'keep', 'surprise', 'minutes'])
    : pick(now, ['role', 'title', 'keep', 'surprise', 'minutes'])
  const note = stripText(was.note) === now.note ? was.note : now.note
  return {
    id: was.id,
    ...head,
    ...(note !== undefined && { note }),
    blocks,
  } as Section
}

function pick<T extends object>(whole: T, keys: readonly (keyof T)[]): Partial<T> {
  return Object.fromEntries(keys.flatMap((key) => (whole[key] === undefined ? [] : [[key, whole[key]]]))) as Partial<T>
}

/** What a text can't say about a block, taken from the matching one. */
const unsaid = ['link', 'seed'] as const

function mergedBlock(
  now: Block,
  was: Block,
  before: Block,
  ids: ReadonlyMap<string, string>,
  previous: Session,
  taken: ReadonlySet<string>,
): Block {
  const changed = {
    ...(withGroups(now, ids) as Block),
    id: was.id,
    ...Object.fromEntries(unsaid.flatMap((key) => (key in was ? [[key, was[key as never]]] : []))),
    ...('travel' in was && was.travel && 'travel' in now && now.travel
      ? { travel: { how: was.travel.how, seconds: renamedGroups(now.travel.seconds, ids) } }
      : {}),
    ...('onMiss' in was && was.onMiss && { onMiss: keptGroups(was.onMiss, taken) }),
  } as Block
  const head = sameGroups(ids, previous) ? withUntouched(changed, now, before, was) : changed
  if (!hasStations(head) || !hasStations(now) || !hasStations(was)) return head
  return { ...head, stations: mergedStations(now, was, before as StationBlock, ids, previous) } as Block
}

/** A part of a session changed by a text: each field the text left alone is unchanged, including those no text can say. */
function withUntouched<T extends object>(changed: T, now: T, before: T, was: T): T {
  const keys = [...new Set([was, changed].flatMap((part) => Object.keys(part)))] as (keyof T)[]
  return Object.fromEntries(
    keys.flatMap((key) => {
      const value = (sameValue(before[key], now[key]) ? was : changed)[key]
      return value === undefined ? [] : [[key, value]]
    }),
  ) as T
}

/** Whether the text's groups are the session's, one for one. */
const sameGroups = (ids: ReadonlyMap<string, string>, previous: Session): boolean =>
  ids.size === previous.groups.length && [...ids.values()].every((id, i) => id === previous.groups[i]!.id)

function keptGroups<T>(value: { all: T; by?: Record<string, T> }, taken: ReadonlySet<string>) {
  return renamedGroups(value, new Map([...taken].map((id) => [id, id])))
}

function mergedStations(
  now: StationBlock,
  was: StationBlock,
  before: StationBlock,
  ids: ReadonlyMap<string, string>,
  previous: Session,
): Station[] {
  const same = matched(
    before.stations,
    now.stations,
    (a, b) => a.cells.all.move === b.cells.all.move && a.face === b.face,
    (a, b) => a.cells.all.move === b.cells.all.move,
  )
  return now.stations.map((station, j): Station => {
    const i = same[j]
    if (i === undefined) return withGroups(station, ids) as Station
    const old = was.stations[i]!
    const { id: _a, ...said } = station
    const saidBefore = before.stations[i]!
    const unsaid = Object.fromEntries(Object.entries(old).filter(([key]) => !(key in saidBefore)))
    const changed = { ...unsaid, ...said, id: old.id, cells: renamedGroups(station.cells, ids) }
    const kept = withUntouched<Station>(changed, station, saidBefore, old)
    return sameGroups(ids, previous) ? kept : { ...kept, cells: changed.cells }
  })
}
