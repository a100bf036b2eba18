import { limits } from '../../base/limits.ts'
import { cleanText } from '../../base/text.ts'
import { carryMoves } from '../../library/carryMoves.ts'
import type { Library } from '../../library/library.ts'
import { withOwnMoves } from '../../library/ownMoves.ts'
import { newWorkout } from '../../session/newWorkout.ts'
import type { Section, Workout } from '../../session/schema.ts'
import { hasStations, stationsOf, type Block } from '../../session/forms.ts'
import type { Group } from '../../terms/group.ts'
import type { OwnMove } from '../../terms/ownMove.ts'
import { plainName } from '../names.ts'
import { untitled } from '../strip.ts'
import { blocksOf, filled, isRestRow, type BlockMaker, type Run } from './blocks.ts'
import { contradicts, readFacts, type Facts } from './facts.ts'
import { groupLabels, groupsFrom, type GroupLabel } from './groups.ts'
import { restRow, type Item } from './item.ts'
import { readLine } from './line.ts'
import { readRow, type FreeRow, type RowReader } from './row.ts'
import { nameAnswers, type Question } from './questions.ts'
import { tablesOf, type Table } from './tables.ts'
import { tokensOf } from './tokens.ts'
import type { Readings } from './understandName.ts'
import { britishWords } from './words.en.ts'

/** What each line of a text became. */
export interface LineRead {
  /** From 1. */
  line: number
  as: Exclude<Item['kind'], 'end' | 'pause'> | 'blank'
  /** Stations it became, by id. */
  stations: string[]
}

/** What a text came to. */
export interface FreelyRead {
  workout: Workout
  questions: Question[]
  lines: LineRead[]
  /** Whether the text names its groups. */
  saidGroups: boolean
}

export interface ReadOptions {
  /** The groups of a text that names none, or all of a session that has its own. */
  groups: readonly Group[]
  /** A session's own groups stay: labels in the text are matched to them. */
  keepGroups?: boolean
  /** What words stand for, as their teacher said. */
  readings?: Readings
}

/**
 * Reads a text as teachers write them. Every line becomes a heading, a fact, a row or a note; what is not certain is asked. Nothing is
 * refused, and nothing of it is lost: what is no move and no amount stays as words.
 *
 * @example readFree('Squats x10', library, { groups }).workout.sections[0].blocks[0].form // 'list'
 */
export function readFree(text: string, library: Library, options: ReadOptions): FreelyRead {
  const lines = text
    .slice(0, limits.bytes)
    .split(/\r\n|[\n\r\u2028\u2029]/)
    .slice(0, limits.lines)
  const reader: RowReader = { library, readings: options.readings ?? new Map(), british: britishWords.test(text) }
  const items = itemsOf(lines, reader)
  return new Assembler(lines, items, reader, options).end()
}

function itemsOf(lines: readonly string[], reader: RowReader): Item[] {
  const tables = tablesOf(lines, (head) => groupLabels(head).length > 0)
  const items: Item[] = []
  let first = true
  // `3-4 15 reps` says what a group does only where other lines name groups.
  const beside = lines.some((line) => groupLabels(line).length > 0)
  for (let i = 0; i < lines.length; i++) {
    const table = tables.find((t) => t.from === i)
    if (table) {
      items.push(...tableItems(table, reader))
      i = table.to - 1
      first = false
      continue
    }
    const cells = lines[i]!.includes('\t') ? lines[i]!.split('\t').filter((c) => c.trim()) : [lines[i]!]
    for (const cell of cells) {
      const label = cells.length > 1 ? groupLabels(cell)[0] : undefined
      if (label && label.label === cell.trim()) {
        items.push({ line: i, kind: 'legend', entries: [{ label, facts: {} }], facts: {} })
        continue
      }
      const read = readLine(cell, i, reader, first, beside)
      items.push(...read)
      // In one line of cells what follows a heading with its minutes is no longer under it.
      const [heading] = read
      if (cells.length > 1 && heading?.kind === 'heading' && heading.facts.total !== undefined && !heading.rows.length)
        items.push({ line: i, kind: 'end' })
      if (read.some((item) => item.kind !== 'note')) first = false
    }
  }
  return titled(items, lines)
}

/** "Animal walks - 20 sec each, 10 sec rest" over rows without amounts is no row: it says what they are called, and how. */
function titled(items: readonly Item[], lines: readonly string[]): Item[] {
  return items.flatMap((item, i): Item[] => {
    const next = items.slice(i + 1).find((later) => later.kind !== 'note')
    const [row] = item.kind === 'rows' ? item.rows : []
    if (item.kind !== 'rows' || item.rows.length > 1 || row!.understood.named || item.listed || row!.label)
      return [item]
    if (next?.kind !== 'rows' || next.rows.some((r) => r.dose)) return [item]
    const { facts } = readFacts(lines[item.line]!, false)
    if (
      facts.work === undefined ||
      (facts.rest === undefined && facts.rounds === undefined && !/\beach\b/i.test(lines[item.line]!))
    )
      return [item]
    return [
      { line: item.line, kind: 'block', title: row!.name },
      { line: item.line, kind: 'facts', facts },
    ]
  })
}
function tableItems({ rows }: Table, reader: RowReader): Item[] {
  const items: Item[] = []
  for (const { line, cells } of rows) {
    const of = (column: string) => cells.filter((c) => c.column === column && c.text).map((c) => c.text)
    const [name] = of('move')
    if (!name) continue
    const row = readRow([name, ...of('time'), ...of('reps')].join('  '), 0, reader)
    if (!row) continue
    const rest = of('rest').flatMap((text) => tokensOf(/\d\s*$/.test(text) ? `${text} s` : text))
    const time = rest.find((t) => t.kind === 'time')
    if (time?.kind === 'time') row.rest = time.seconds
    row.easier = of('easier').join(', ') || undefined!
    row.harder = of('harder').join(', ') || undefined!
    if (!row.easier) delete (row as Partial<FreeRow>).easier
    if (!row.harder) delete (row as Partial<FreeRow>).harder
    row.note.push(...of('note'))
    row.doses = cells.flatMap((cell) => {
      if (cell.column !== 'group') return []
      const dose = readRow(`x ${cell.text}`, 0, reader)?.dose ?? readRow(`${name} ${cell.text}`, 0, reader)?.dose
      const label = groupLabels(cell.head)[0]
      return dose && label ? [{ label: JSON.stringify(label.grades), dose }] : []
    })
    if (!row.doses.length) delete row.doses
    items.push({ line, kind: 'rows', rows: [row], listed: true })
  }
  const labels = rows[0]?.cells.flatMap((c) => (c.column === 'group' ? (groupLabels(c.head)[0] ?? []) : [])) ?? []
  if (labels.length && items.length)
    items.unshift({
      line: rows[0]!.line - 1,
      kind: 'legend',
      entries: labels.map((label, i) => ({
        label: {
          ...label,
          label:
            rows[0]!.cells
              .filter((c) => c.column === 'group')
              [i]!.head.replace(/\(.*\)/, '')
              .trim() || label.label,
        },
        facts: {},
      })),
      facts: {},
    })
  return items
}

/** Facts that say how a stretch of work goes on: they stand before its rows. */
const opens = ({ pattern, rungs }: Facts): boolean =>
  rungs !== undefined || (pattern !== undefined && pattern !== 'circuit' && pattern !== 'relay')
const onlyRest = (facts: Facts): boolean =>
  Object.keys(facts).every((key) => key === 'rest' || key === 'restRounds' || key === 'rounds')

/** A run while it is read: whether facts behind its rows have closed it, and whether its rows stand in their heading's line. */
type OpenRun = Run & { closing: boolean; inline: boolean }
const newRun = (): OpenRun => ({ facts: {}, legend: [], rows: [], notes: [], closing: false, inline: false })

class Assembler {
  #reader: RowReader
  #items: Item[]
  #groups: readonly Group[]
  #said: boolean
  #make: BlockMaker
  #title: string | undefined
  #target: string[] = []
  #sections: Section[] = []
  #section: Section | undefined
  /** Notes that stand before any section. */
  #before: string[] = []
  #run = newRun()
  #blockTitle: string | undefined
  #ids = { b: 0, s: 0, p: 0 }
  #questions: Question[] = []
  #lines: LineRead[]
  #rowLines = new Map<FreeRow, number>()
  #source: readonly string[]

  constructor(lines: readonly string[], items: Item[], reader: RowReader, options: ReadOptions) {
    this.#source = lines
    this.#reader = reader
    this.#items = items
    const labels = items.flatMap((item): GroupLabel[] =>
      item.kind === 'legend' ? item.entries.map((e) => e.label) : [],
    )
    const inTitle = labels.length
      ? []
      : items
          .flatMap((item) =>
            item.kind === 'title' || (item.kind === 'rows' && item.title)
              ? groupLabels(item.kind === 'title' ? item.text : item.title!)
              : [],
          )
          .slice(0, 1)
    const first = labels.length || inTitle.length ? [] : groupLabels(lines.slice(0, 3).join('\n')).slice(0, 1)
    const named = groupsFrom([...labels, ...inTitle, ...first])
    this.#said = named.length > 0 && !options.keepGroups
    this.#groups = this.#said ? named : options.groups
    this.#make = {
      library: reader.library,
      groups: this.#groups,
      own: new Map<string, OwnMove>(),
      id: (prefix) => `${prefix}${++this.#ids[prefix]}`,
    }
    this.#lines = lines.map((_, i) => ({ line: i + 1, as: 'blank', stations: [] }))
  }

  end(): FreelyRead {
    this.#items.forEach((item, i) => {
      if (item.kind !== 'end' && item.kind !== 'pause') this.#lines[item.line]!.as = item.kind
      this.#take(
        item,
        this.#items.slice(i + 1).find((next) => next.kind !== 'note'),
      )
    })
    this.#closeSection()
    const base = newWorkout(this.#title ?? untitled, [[0]], 20, this.#reader.library.version)
    const moves = [...this.#make.own.values()].slice(0, limits.ownMoves)
    const workout: Workout = {
      ...base,
      title: cleanText(this.#title ?? '', 'line').trim() || untitled,
      groups: this.#groups.map((g) => ({ ...g })),
      aim: { builds: [], target: cleanText(this.#target.join('\n'), 'paragraph').trim(), words: [] },
      sections: this.#sections,
      ...(moves.length && { moves }),
    }
    const library = withOwnMoves(this.#reader.library, moves)
    return {
      workout: carryMoves(workout, library),
      questions: this.#questions,
      lines: this.#lines,
      saidGroups: this.#said,
    }
  }

  #take(item: Item, next: Item | undefined): void {
    if (item.kind === 'title') {
      if (this.#title === undefined) this.#title = item.text
      else this.#note(item.text)
    } else if (item.kind === 'heading') this.#heading(item)
    else if (item.kind === 'block') {
      this.#closeRun()
      this.#blockTitle = item.title
    } else if (item.kind === 'facts') this.#facts(item.facts, next?.kind === 'rows')
    else if (item.kind === 'legend') {
      if (this.#run.rows.length && this.#run.closing) this.#closeRun()
      this.#run.legend.push(...item.entries.filter((e) => Object.keys(e.facts).length))
      this.#run.facts = { ...this.#run.facts, ...item.facts }
    } else if (item.kind === 'rows') this.#rows(item)
    else if (item.kind === 'rest') this.#rest(item.seconds)
    else if (item.kind === 'note') this.#note(item.text)
    else if (item.kind === 'target') this.#target.push(item.text)
    else if (item.kind === 'again') this.#again(item.facts)
    else if (item.kind === 'end') this.#closeSection()
    else if (item.kind === 'pause') this.#run.closing = this.#run.rows.length > 0
    else {
      const last = this.#run.rows.at(-1)
      if (last) last[item.kind] = item.text
      else this.#note(`${item.kind}: ${item.text}`)
    }
  }

  #heading(item: Extract<Item, { kind: 'heading' }>): void {
    this.#closeSection()
    const { total, ...facts } = item.facts
    const minutes = total === undefined ? undefined : Math.min(120, Math.max(1, Math.round(total / 60)))
    if (this.#sections.length >= limits.sections) {
      this.#note(item.title)
      return
    }
    this.#section = {
      id: `p${++this.#ids.p}`,
      role: item.role,
      title: cleanText(item.title, 'line').trim(),
      ...(item.keep !== undefined && { keep: item.keep }),
      ...(item.surprise && { surprise: true }),
      ...(minutes && !facts.pattern && { minutes }),
      blocks: [],
    }
    this.#sections.push(this.#section)
    this.#run.facts = { ...facts, ...(facts.pattern && total !== undefined && { total }) }
    if (!item.rows.length) return
    this.#rows({ line: item.line, kind: 'rows', rows: item.rows, listed: false })
    this.#run.inline = true
  }

  /** The section rows go into: a text without any is one main part; what is beyond the last there is room for goes into it. */
  #need(): Section {
    if (!this.#section && this.#sections.length >= limits.sections) this.#section = this.#sections.at(-1)!
    if (!this.#section) {
      this.#section = { id: `p${++this.#ids.p}`, role: 'main', title: 'Main part', blocks: [] }
      this.#sections.push(this.#section)
    }
    return this.#section
  }

  /** @param before whether rows follow */
  #facts(facts: Facts, before: boolean): void {
    const run = this.#run
    if (!run.rows.length) {
      run.facts = { ...run.facts, ...facts }
      return
    }
    // A heading that had its rows behind it is done: what comes then is the main part.
    if (run.inline && before) {
      this.#closeSection()
      this.#run.facts = { ...facts }
      return
    }
    // Behind rows they close over them, unless they say anew what was said before them.
    if (
      contradicts(run.facts, facts) ||
      (before && (opens(facts) || run.rows.every((r) => r.dose)) && !onlyRest(facts))
    ) {
      this.#closeRun()
      this.#run.facts = { ...facts }
      return
    }
    // "Rest a minute and go again": behind rows with their own amounts it stands between rounds.
    const { rest, ...others } = facts
    const again =
      rest !== undefined &&
      facts.rounds !== undefined &&
      facts.restRounds === undefined &&
      !facts.restStations &&
      run.rows.every((r) => r.dose ?? r.doses)
    run.facts = { ...(again ? { ...others, restRounds: rest } : facts), ...run.facts }
    run.closing = true
  }

  #rows(item: Extract<Item, { kind: 'rows' }>): void {
    const own = item.facts && Object.keys(item.facts).length > 0
    if (own || this.#run.closing) this.#closeRun()
    if (own) this.#run.facts = { ...this.#run.facts, ...item.facts }
    if (item.title && own) this.#run.title ??= item.title
    const rows = item.rows.filter((row) => this.#isRow(row, item.line))
    if (rows.length) this.#need()
    for (const row of rows) this.#rowLines.set(row, item.line)
    this.#run.rows.push(...rows)
    if (own) this.#run.closing = true
    // A warm-up among rows is not done again with them.
    if (rows.some((r) => /\b(?:warm|cool)[- ]?(?:up|down)\b/i.test(r.name))) this.#closeRun()
    if (rows.length < item.rows.length)
      this.#note(
        item.rows
          .filter((r) => !rows.includes(r))
          .map((r) => [r.name, ...r.note].join(' '))
          .join(', '),
      )
  }

  /** A name that is not known is asked about; one its teacher called words is none. */
  #isRow(row: FreeRow, line: number): boolean {
    if (row.understood.named || isRestRow(row)) return true
    const told = this.#reader.readings.get(plainName(row.name))
    if (told === 'note') return false
    if (told === 'own') return true
    const at = Math.max(0, this.#source[line]!.indexOf(row.name))
    this.#questions.push({
      kind: 'name',
      line: line + 1,
      column: at + 1,
      length: row.name.length,
      received: row.name,
      answers: nameAnswers(row.understood.nearest()),
    })
    return true
  }

  #rest(seconds: number): void {
    const run = this.#run
    if (!run.rows.length) {
      this.#run.facts.rest ??= seconds
      return
    }
    if (run.closing) {
      // Behind what closes over the rows it belongs to them.
      if (run.facts.restRounds === undefined) run.facts.restRounds = seconds
      return
    }
    run.rows.push({ ...restRow('Rest', 0), dose: { unit: 'seconds', amount: Math.min(limits.seconds, seconds) } })
  }

  #again(facts: Facts): void {
    if (this.#run.rows.length) {
      this.#run.facts.rounds ??= Math.max(2, facts.rounds ?? 2)
      this.#run.closing = true
      return
    }
    const before = this.#sections
      .filter((s) => s !== this.#section && s.blocks.some((b) => stationsOf(b).length > 1))
      .at(-1)
    if (!before) return
    const copy = before.blocks.map((block): Block => {
      const id = this.#make.id('b')
      return hasStations(block)
        ? ({ ...block, id, stations: block.stations.map((s) => ({ ...s, id: this.#make.id('s') })) } as Block)
        : { ...block, id }
    })
    this.#need().blocks.push(...copy)
  }

  #note(text: string): void {
    const clean = text.trim()
    if (!clean) return
    if (this.#section || this.#sections.length) {
      const section = this.#section ?? this.#sections.at(-1)!
      section.note = cleanText([section.note, clean].filter(Boolean).join('\n'), 'paragraph')
    } else this.#before.push(clean)
  }

  #closeRun(): void {
    const run = this.#run
    this.#run = newRun()
    const title = this.#blockTitle ?? run.title
    if (!run.rows.length) {
      // What was said of rows that never came is of those to come.
      if (!this.#section) this.#run.facts = run.facts
      this.#run.legend = run.legend
      return
    }
    this.#blockTitle = undefined
    const section = this.#need()
    const rest = trailingRest(run)
    for (const row of run.rows) this.#groupDoses(row)
    if (section.minutes && !section.blocks.length && run.facts.work === undefined && run.facts.each === undefined)
      filled(run, section.minutes * 60, this.#make)
    const from = this.#ids.s
    const blocks = blocksOf({ ...run, title }, this.#make).slice(0, limits.blocks)
    for (const block of blocks) if (section.blocks.length < limits.blocks) section.blocks.push(block)
    if (rest && section.blocks.length < limits.blocks)
      section.blocks.push(...blocksOf({ ...newRun(), rows: [rest] }, this.#make))
    const made = Array.from({ length: this.#ids.s - from }, (_, i) => `s${from + i + 1}`)
    run.rows.forEach((row, i) => {
      const line = this.#rowLines.get(row)
      if (line !== undefined && made[i]) this.#lines[line]!.stations.push(made[i])
    })
  }

  /** Doses that a table gives by group, by the groups' ids. */
  #groupDoses(row: FreeRow): void {
    row.doses = row.doses?.flatMap(({ label, dose }) =>
      this.#groups.filter((g) => JSON.stringify(g.grades) === label).map((g) => ({ label: g.id, dose })),
    )
  }

  #closeSection(): void {
    // A heading with minutes and nothing under it is something to do for so long.
    const section = this.#section
    if (section && !section.blocks.length && !this.#run.rows.length) {
      const seconds = section.minutes ? section.minutes * 60 : this.#run.facts.each ? undefined : this.#run.facts.total
      const row = readRow(section.title, 0, this.#reader)
      if (seconds && row)
        this.#run.rows.push({ ...row, note: [], dose: { unit: 'seconds', amount: Math.min(limits.seconds, seconds) } })
    }
    this.#closeRun()
    this.#section = undefined
    const first = this.#sections[0]
    if (first && this.#before.length) {
      first.note = cleanText([...this.#before, first.note].filter(Boolean).join('\n'), 'paragraph')
      this.#before = []
    }
  }
}

/** A rest behind the last row is no row: in rounds and sets it comes between them; behind work by the clock it stands by itself. */
function trailingRest(run: Run): FreeRow | undefined {
  const last = run.rows.at(-1)
  if (!last || !isRestRow(last) || last.label || run.rows.length < 2) return undefined
  if (run.rows.some((r) => r.pair)) {
    const before = run.rows.at(-2)!
    last.pair = before.pair!
    return undefined
  }
  if (run.facts.work !== undefined && !run.rows.slice(0, -1).some(isRestRow)) return run.rows.pop()
  const amount = typeof last.dose?.amount === 'number' ? last.dose.amount : 0
  const comesBack = (run.facts.rounds ?? 1) > 1 || run.rows.some((r) => (r.sets ?? 1) > 1)
  if (!comesBack) return undefined
  run.rows.pop()
  run.facts.restRounds ??= amount
  return undefined
}
