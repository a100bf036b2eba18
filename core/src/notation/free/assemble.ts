import { limits } from '../../base/limits.ts'
import { cleanText } from '../../base/text.ts'
import { carryMoves } from '../../library/carryMoves.ts'
import { withOwnMoves } from '../../library/ownMoves.ts'
import { newSession } from '../../session/newSession.ts'
import type { Section, Session } from '../../session/schema.ts'
import { hasStations, stationsOf, type Block } from '../../session/forms.ts'
import type { Group } from '../../terms/group.ts'
import type { OwnMove } from '../../terms/ownMove.ts'
import { plainName } from '../names.ts'
import { untitled } from '../strip.ts'
import { blocksOf, filled, type Run } from './blocks.ts'
import { contradicts, type Facts } from './facts.ts'
import { groupLabels, groupsFrom, type GroupLabel } from './groups.ts'
import { restRow, type Item } from './item.ts'
import { meantGroups } from './meantGroups.ts'
import { readRow, type FreeRow, type RowReader } from './row.ts'
import { choiceKey, nameAnswers, questionAt, type Choices, type Question } from './questions.ts'
import { isRestRow, type StationMaker } from './station.ts'

/** What a text came to. */
export interface FreelyRead {
  workout: Session
  questions: Question[]
  /** The line each section, block and station stands in, from 1, by its id. */
  lines: Map<string, number>
  /** What it says at all. */
  said: { title: boolean; groups: boolean; headings: boolean }
}

export interface AssembleOptions {
  /** The groups of a text that names none, or all of a session that has its own. */
  groups: readonly Group[]
  /** A session's own groups stay: labels in the text are matched to them. */
  keepGroups?: boolean
  /** What was said of this text. */
  choices?: Choices
}

/** Facts that say how a stretch of work goes on: they stand before its rows. */
const opens = ({ pattern, rungs }: Facts): boolean =>
  rungs !== undefined || (pattern !== undefined && pattern !== 'circuit' && pattern !== 'relay')
const onlyRest = (facts: Facts): boolean =>
  Object.keys(facts).every((key) => key === 'rest' || key === 'restRounds' || key === 'rounds')

/**
 * A run while it is read: whether facts behind its rows have closed it, whether its rows stand in their heading's line, and the line
 * that says how it is done.
 */
type OpenRun = Run & { closing: boolean; inline: boolean; line?: number }
const newRun = (): OpenRun => ({ facts: {}, legend: [], rows: [], notes: [], closing: false, inline: false })

/** Puts the items of a text together into a session: what belongs to what is decided here. */
export class Assembler {
  #reader: RowReader
  #items: Item[]
  #groups: readonly Group[]
  #said: boolean
  #make: StationMaker
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
  #lines = new Map<string, number>()
  #line = 0
  #headings = false
  #choices: Choices
  #source: readonly string[]

  constructor(lines: readonly string[], items: Item[], reader: RowReader, options: AssembleOptions) {
    this.#source = lines
    this.#reader = reader
    this.#choices = options.choices ?? new Map()
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
    const meant = options.keepGroups && meantGroups(items, options.groups, lines, this.#choices)
    this.#items = meant ? meant.items : items
    this.#groups = meant ? meant.groups : this.#said ? named : options.groups
    if (meant) this.#questions.push(...meant.questions)
    this.#make = {
      library: reader.library,
      groups: this.#groups,
      own: new Map<string, OwnMove>(),
      id: (prefix) => `${prefix}${++this.#ids[prefix]}`,
      lines: new Map<string, number>(),
    }
  }

  end(): FreelyRead {
    this.#items.forEach((item, i) => {
      this.#line = item.line
      this.#take(
        item,
        this.#items.slice(i + 1).find((next) => next.kind !== 'note'),
      )
    })
    this.#closeSection()
    // Words alone are kept all the same.
    if (this.#before.length) {
      this.#need()
      this.#closeSection()
    }
    const base = newSession(this.#title ?? untitled, [[0]], 20, this.#reader.library.version)
    const moves = [...this.#make.own.values()].slice(0, limits.ownMoves)
    const session: Session = {
      ...base,
      title: cleanText(this.#title ?? '', 'line').trim() || untitled,
      groups: this.#groups.map((g) => ({ ...g })),
      aim: { builds: [], target: cleanText(this.#target.join('\n'), 'paragraph').trim(), words: [] },
      sections: this.#sections,
      ...(moves.length && { moves }),
    }
    for (const [id, line] of this.#make.lines) this.#lines.set(id, line + 1)
    return {
      workout: carryMoves(session, withOwnMoves(this.#reader.library, moves)),
      questions: this.#questions,
      lines: this.#lines,
      said: { title: this.#title !== undefined, groups: this.#said, headings: this.#headings },
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
    this.#headings = true
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
    this.#lines.set(this.#section.id, item.line + 1)
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
      run.line ??= this.#line
      run.facts = { ...run.facts, ...facts }
      return
    }
    // A heading that had its rows behind it is done: what comes then is the main part.
    if (run.inline && before) {
      this.#closeSection()
      this.#begin(facts)
      return
    }
    // Behind rows they close over them, unless they say anew what was said before them.
    if (
      contradicts(run.facts, facts) ||
      (before && (opens(facts) || run.rows.every((r) => r.dose)) && !onlyRest(facts))
    ) {
      this.#closeRun()
      this.#begin(facts)
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
    this.#askRounds(facts)
    const closed = this.#run
    closed.line ??= this.#line
    closed.facts = { ...(again ? { ...others, restRounds: rest } : facts), ...closed.facts }
    closed.closing = true
  }

  /** A run opened by what is said of it. */
  #begin(facts: Facts): void {
    this.#run.facts = { ...facts }
    this.#run.line = this.#line
  }

  /** "Three rounds" behind rows that stand in two lists: of all of them, or of the last? Until it is said, of all. */
  #askRounds(facts: Facts): void {
    const run = this.#run
    const cut = this.#lastList()
    // Within a line the sentence says which.
    const inLine = run.rows.at(-1)!.line === this.#line
    if ((facts.rounds ?? 1) < 2 || run.facts.rounds !== undefined || !cut || inLine) return
    const line = this.#source[this.#line]!
    const received = line.trim()
    const question = questionAt('rounds', this.#line, line.indexOf(received), received, [
      { as: 'all', rows: run.rows.length },
      { as: 'last', rows: run.rows.length - cut },
    ])
    const told = this.#choices.get(choiceKey(question))?.as
    if (told === undefined) this.#questions.push(question)
    if (told !== 'last') return
    const rows = run.rows.splice(cut)
    const { facts: said, legend } = run
    this.#closeRun()
    Object.assign(this.#run, { facts: said, legend, rows })
  }

  /** Where the last list of the open rows begins: behind an empty line, where not every row has one. 0 where there is one list. */
  #lastList(): number {
    const { rows } = this.#run
    const apart = rows.map((row, i) => {
      const from = rows[i - 1]?.line ?? row.line ?? 0
      return this.#source.slice(from + 1, row.line).some((line) => !line.trim())
    })
    return apart.slice(1).every(Boolean) ? 0 : Math.max(0, apart.lastIndexOf(true))
  }

  #rows(item: Extract<Item, { kind: 'rows' }>): void {
    const own = item.facts && Object.keys(item.facts).length > 0
    if (own || this.#run.closing) this.#closeRun()
    if (own) this.#run.facts = { ...this.#run.facts, ...item.facts }
    if (item.title && own) this.#run.title ??= item.title
    const rows = item.rows.filter((row) => this.#isRow(row, item.line))
    if (rows.length) this.#need()
    if (own) this.#run.line ??= item.line
    for (const row of rows) row.line = item.line
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
    this.#questions.push(questionAt('name', line, at, row.name, nameAnswers(row.understood.nearest())))
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
    run.rows.push({
      ...restRow('Rest', 0),
      line: this.#line,
      dose: { unit: 'seconds', amount: Math.min(limits.seconds, seconds) },
    })
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
    if (section.minutes && !section.blocks.length && run.facts.work === undefined && run.facts.each === undefined)
      filled(run, section.minutes * 60, this.#make)
    const made = [
      ...blocksOf({ ...run, title }, this.#make),
      ...(rest ? blocksOf({ ...newRun(), rows: [rest] }, this.#make) : []),
    ].slice(0, limits.blocks - section.blocks.length)
    section.blocks.push(...made)
    made.forEach((block, i) => {
      const line = i === 0 && run.line !== undefined ? run.line : this.#make.lines.get(stationsOf(block)[0]?.id ?? '')
      if (line !== undefined) this.#lines.set(block.id, line + 1)
    })
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
