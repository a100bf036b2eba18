import { cleanText } from '../../base/text.ts'
import { limits } from '../../base/limits.ts'
import { sameValue } from '../../base/sameValue.ts'
import { firstDose } from '../../library/cellsFor.ts'
import { newBlock, type Block, type Form } from '../../session/forms.ts'
import type { Dose } from '../../terms/dose.ts'
import type { Group } from '../../terms/group.ts'
import { canonical, valueFor, type PerGroup } from '../../terms/perGroup.ts'
import type { Facts } from './facts.ts'
import { groupsMeant, type GroupLabel } from './groups.ts'
import type { FreeRow } from './row.ts'
import { face, freeStation, isRestRow, namedOf, type StationMaker } from './station.ts'

/** Rows that belong together, with all that was said of them. */
export interface Run {
  facts: Facts
  legend: { label: GroupLabel; facts: Facts }[]
  rows: FreeRow[]
  title?: string | undefined
  notes: string[]
}

/** A fact of all groups, and of those a legend names. */
function perGroup<T>(
  run: Run,
  groups: readonly Group[],
  read: (facts: Facts) => T | undefined,
): PerGroup<T> | undefined {
  const common = read(run.facts)
  const by: Record<string, T> = {}
  for (const { label, facts } of run.legend) {
    const value = read(facts)
    if (value === undefined) continue
    for (const id of groupsMeant(label.grades, groups)) by[id] = value
  }
  const first = Object.values(by)[0]
  if (common === undefined && first === undefined) return undefined
  return canonical({ all: common ?? first!, by: Object.fromEntries(Object.entries(by)) })
}
const either = <T>(value: PerGroup<T> | undefined, otherwise: T): PerGroup<T> => value ?? { all: otherwise }

/** The blocks of a run: one form of work, or one after the other where its rows say different things. */
export function blocksOf(run: Run, make: StationMaker): Block[] {
  if (!run.rows.length) return []
  const blocks = formed(run, make).filter((b) => !('stations' in b) || b.stations.length)
  const note = cleanText(run.notes.join('\n'), 'paragraph').trim()
  const title = run.title && cleanText(run.title, 'line').trim()
  return blocks.map((block, i) => ({
    ...block,
    ...(i === 0 && title && { title }),
    ...(i === 0 && note && { note }),
  })) as Block[]
}

function formed(run: Run, make: StationMaker): Block[] {
  const { facts, rows } = run
  // A rest that stands by itself is time to talk.
  if (rows.every((r) => isRestRow(r) && !r.label))
    return rows.map((row) => ({
      ...newBlock.talk(make.id('b')),
      seconds: { all: typeof row.dose?.amount === 'number' ? row.dose.amount : 60 },
      title: 'Rest',
    }))
  const faces = rows.filter((r) => face(r)).length
  if (faces === rows.length && (faces >= 2 || facts.pattern)) return [chance(run, make)]
  const minutes = rows.filter((r) => /^(?:min(?:ute)?s? ?\d|odd|even)/i.test(r.label ?? '')).length
  if (facts.pattern === 'emom' || minutes === rows.length) return [everyMinute(run, make)]
  if (facts.pattern === 'amrap') return [asManyRounds(run, make)]
  if (facts.rungs) return [ladder(run, make)]
  if (rows.some((r) => r.pair)) return pairs(run, make)
  if (rows.every((r) => r.rest !== undefined && r.dose?.unit === 'seconds')) return clocked(run, make)
  const clock = perGroup(run, make.groups, (f) => f.work)
  const pause = perGroup(run, make.groups, (f) => f.rest)
  const dosed = rows.filter((r) => r.dose && !isRestRow(r)).length
  const eachSide = facts.eachSide || run.legend.some((l) => l.facts.eachSide)
  if (eachSide) for (const row of rows) row.eachSide = true
  if (clock && !eachSide && (pause || facts.pattern === 'tabata') && dosed * 2 <= rows.length)
    return [intervals(run, clock, pause, make)]
  if (rows.every((r) => r.sets !== undefined && !isRestRow(r))) return sets(run, make)
  return several(run, make)
}

const stations = (rows: readonly FreeRow[], form: Form, each: PerGroup<Dose> | undefined, make: StationMaker) =>
  rows.flatMap((row) => freeStation(row, form, make, each) ?? [])

function intervals(run: Run, work: PerGroup<number>, rest: PerGroup<number> | undefined, make: StationMaker): Block {
  const { facts, rows } = run
  const most = facts.pattern === 'tabata' && !facts.intervals ? 8 : facts.intervals
  const shared =
    most !== undefined && (facts.pattern === 'tabata' || most > 5) && most % rows.length === 0 && most >= rows.length
  const common = (shared ? most / rows.length : (facts.rounds ?? most)) ?? 1
  const ids = make.groups.map((g) => g.id)
  const rounds = perGroup(run, make.groups, (f) => f.rounds)
  const laps = (id: string) => {
    const n = Math.min(limits.laps, Math.max(1, run.legend.length && rounds && !shared ? valueFor(rounds, id) : common))
    const lap = { work: valueFor(work, id), rest: rest ? valueFor(rest, id) : facts.pattern === 'tabata' ? 10 : 0 }
    return Array.from({ length: n }, () => lap)
  }
  const pick = perGroup(run, make.groups, (f) => f.pick)
  return {
    ...newBlock.intervals(make.id('b')),
    stations: stations(
      rows.map(({ dose: _, ...row }) => row),
      'intervals',
      undefined,
      make,
    ),
    laps: canonical({ all: laps(ids[0]!), by: Object.fromEntries(ids.map((id) => [id, laps(id)])) }),
    ...(facts.restRounds !== undefined && { lapRest: { all: facts.restRounds } }),
    ...(pick && { pick }),
  }
}

/** Rows each with their own work and rest: as many circuits of one lap as it takes. */
function clocked(run: Run, make: StationMaker): Block[] {
  const blocks: Block[] = []
  const amount = (row: FreeRow) => (typeof row.dose!.amount === 'number' ? row.dose!.amount : 30)
  for (let i = 0; i < run.rows.length;) {
    const { rest } = run.rows[i]!
    const work = amount(run.rows[i]!)
    let to = i + 1
    while (to < run.rows.length && run.rows[to]!.rest === rest && amount(run.rows[to]!) === work) to++
    const part = {
      ...run,
      rows: run.rows.slice(i, to),
      legend: [],
      facts: (run.rows.length === to && i === 0 && run.facts.rounds
        ? { rounds: run.facts.rounds }
        : { rounds: 1 }) as Facts,
    }
    blocks.push(intervals(part, { all: work }, { all: rest! }, make))
    i = to
  }
  return blocks
}

function everyMinute(run: Run, make: StationMaker): Block {
  const n = run.rows.length
  const minutes = Math.round((run.facts.total ?? n * 60) / 60)
  const laps = Math.min(limits.laps, Math.max(1, Math.ceil(minutes / n)))
  return {
    ...newBlock.intervals(make.id('b')),
    stations: stations(run.rows, 'intervals', undefined, make),
    laps: { all: Array.from({ length: laps }, () => ({ work: 60, rest: 0 })) },
  }
}

const asManyRounds = (run: Run, make: StationMaker): Block => ({
  ...newBlock.amrap(make.id('b')),
  stations: stations(
    run.rows,
    'amrap',
    perGroup(run, make.groups, (f) => f.each),
    make,
  ),
  cap: { all: Math.min(limits.seconds, run.facts.total ?? run.facts.work ?? 480) },
})

const ladder = (run: Run, make: StationMaker): Block => ({
  ...newBlock.ladder(make.id('b')),
  stations: stations(run.rows, 'ladder', undefined, make),
  rungs: either(
    perGroup(run, make.groups, (f) => f.rungs),
    [1],
  ),
  restBetween: either(
    perGroup(run, make.groups, (f) => f.restRounds ?? f.rest),
    0,
  ),
})

function chance(run: Run, make: StationMaker): Block {
  const first = face(run.rows[0]!)!
  const device =
    first === 'heads' || first === 'tails'
      ? 'coin'
      : /^(?:clubs|diamonds|hearts|spades)$/.test(first)
        ? 'cards'
        : 'dice'
  const draws = run.facts.draws ?? run.facts.rounds
  return {
    ...newBlock.chance(make.id('b')),
    device,
    stations: stations(
      run.rows,
      'chance',
      perGroup(run, make.groups, (f) => f.each),
      make,
    ),
    ...(draws && { stop: { kind: 'draws', draws } }),
    ...(run.facts.total && { stop: { kind: 'seconds', seconds: Math.min(limits.seconds, run.facts.total) } }),
  }
}

/** `A1 A2 B1 B2`: each letter's moves one after the other, so many times. */
function pairs(run: Run, make: StationMaker): Block[] {
  const blocks: Block[] = []
  for (let i = 0; i < run.rows.length;) {
    const { pair } = run.rows[i]!
    let to = i + 1
    while (to < run.rows.length && run.rows[to]!.pair === pair) to++
    const rows = run.rows.slice(i, to)
    const moves = rows.filter((r) => !isRestRow(r))
    const rest = rows.find(isRestRow)?.dose ?? undefined
    const seconds =
      typeof rest?.amount === 'number' ? rest.amount : (moves.find((r) => r.rest)?.rest ?? run.facts.rest ?? 0)
    if (moves.length)
      blocks.push({
        ...newBlock.rounds(make.id('b')),
        stations: stations(moves, 'rounds', undefined, make),
        rounds: { all: Math.max(1, ...moves.map((r) => r.sets ?? 1)) },
        restBetween: { all: seconds },
        restStations: { all: 0 },
      })
    i = to
  }
  return blocks
}

/** Sets of one move after the other; a block for each number of sets. */
function sets(run: Run, make: StationMaker): Block[] {
  const blocks: Block[] = []
  const pause = run.facts.restRounds ?? run.facts.rest
  for (let i = 0; i < run.rows.length;) {
    const { sets: n, rest } = run.rows[i]!
    let to = i + 1
    while (to < run.rows.length && run.rows[to]!.sets === n && run.rows[to]!.rest === rest) to++
    const between = Math.min(limits.seconds, rest ?? pause ?? 0)
    const timed = run.rows.slice(i, to)
    if (rest !== undefined && timed.every((r) => r.dose?.unit === 'seconds')) {
      blocks.push(...clocked({ ...run, rows: timed, facts: { rounds: n! } }, make))
      i = to
      continue
    }
    blocks.push({
      ...newBlock.sets(make.id('b')),
      stations: stations(run.rows.slice(i, to), 'sets', undefined, make),
      sets: { all: n! },
      restBetween: { all: between },
      restStations: { all: between },
    })
    i = to
  }
  return blocks
}

/** Rows with the rests between them: the same rest behind each is no row, it stands between them all. */
function restsBetween(all: readonly FreeRow[]): { rows: readonly FreeRow[]; seconds: number } {
  const rests = all.filter(isRestRow)
  const moves = all.filter((r) => !isRestRow(r))
  const [rest] = rests
  const between =
    rest && moves.length > 0 && rests.length >= moves.length - 1 && rests.every((r) => sameValue(r.dose, rest.dose))
  if (between && typeof rest.dose?.amount === 'number') return { rows: moves, seconds: rest.dose.amount }
  const own = moves.length > 1 && moves.slice(0, -1).every((r) => r.rest !== undefined && r.rest === moves[0]!.rest)
  return { rows: all, seconds: own ? moves[0]!.rest! : 0 }
}

/** Rounds where rows come again, else one after the other. */
function several(run: Run, make: StationMaker): Block[] {
  const { facts } = run
  const fact = <T>(read: (facts: Facts) => T | undefined) => perGroup(run, make.groups, read)
  const each = fact((f) => f.each)
  const pause = fact((f) => f.rest)
  const rounds = fact((f) => f.rounds ?? f.intervals)
  const { rows, seconds } = restsBetween(run.rows)
  const between = pause ?? { all: seconds }
  if (rounds && (rounds.by || rounds.all > 1)) {
    const restBetween = facts.restRounds === undefined ? between : { all: facts.restRounds }
    const done = stations(rows, 'rounds', each, make)
    return [{ ...newBlock.rounds(make.id('b')), stations: done, rounds, restBetween, restStations: between }]
  }
  const counts = rows.map((row) => Math.max(1, row.sets ?? 1))
  if (counts.some((n) => n > 1)) return mixedSets(run, rows, counts, make)
  const pick = fact((f) => f.pick)
  if (pick && each) return [picked(run, rows, each, pick, pause, make)]
  return [{ ...newBlock.list(make.id('b')), stations: stations(rows, 'list', each, make), restAfter: between }]
}

/** "Choose three": by the clock, since that is where a child may pick. */
function picked(
  run: Run,
  rows: readonly FreeRow[],
  each: PerGroup<Dose>,
  pick: PerGroup<number>,
  pause: PerGroup<number> | undefined,
  make: StationMaker,
): Block {
  const work = (id: string) => {
    const { amount } = valueFor(each, id)
    return typeof amount === 'number' ? amount : 30
  }
  const own = new Set(run.legend.filter((l) => l.facts.pick).flatMap((l) => groupsMeant(l.label.grades, make.groups)))
  const n = Math.min(rows.length, pick.all)
  const lap = (id: string) => [{ work: work(id), rest: pause ? valueFor(pause, id) : 0 }]
  const ids = make.groups.map((g) => g.id)
  const roundsOf = (id: string) => (own.size === 0 || own.has(id) ? n : rows.length)
  return {
    ...newBlock.intervals(make.id('b')),
    stations: stations(rows, 'intervals', undefined, make),
    laps: canonical({ all: lap(ids[0]!), by: Object.fromEntries(ids.map((id) => [id, lap(id)])) }),
    pick: canonical({ all: roundsOf(ids[0]!), by: Object.fromEntries(ids.map((id) => [id, roundsOf(id)])) }),
  }
}

/** Rows of which some come several times: those as sets, the others as they are. */
function mixedSets(run: Run, rows: readonly FreeRow[], counts: readonly number[], make: StationMaker): Block[] {
  const blocks: Block[] = []
  for (let i = 0; i < rows.length;) {
    let to = i + 1
    while (to < rows.length && counts[to]! > 1 === counts[i]! > 1) to++
    const part = { ...run, rows: rows.slice(i, to), notes: [], facts: { ...run.facts, rounds: undefined } as Facts }
    blocks.push(...(counts[i]! > 1 ? sets(part, make) : several(part, make)))
    i = to
  }
  return blocks
}

/** Seconds of a section's minutes for each row that says no amount. */
export function filled(run: Run, seconds: number, make: StationMaker): void {
  const open = run.rows.filter((r) => !r.dose)
  const told = run.rows.reduce(
    (sum, r) => sum + (r.dose?.unit === 'seconds' && typeof r.dose.amount === 'number' ? r.dose.amount : 0),
    0,
  )
  const each = Math.round((seconds - told) / Math.max(1, open.length))
  if (each < 5) return
  for (const row of open) {
    const named = namedOf(row, make)
    const takes = named?.move.measures.includes('seconds') ?? false
    if (takes) row.dose = { unit: 'seconds', amount: Math.min(limits.seconds, each) }
    else if (named) row.dose = firstDose(named.move, make.groups[0]!, 'list')
  }
}
