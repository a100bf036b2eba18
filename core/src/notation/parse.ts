import type { Counted } from '../base/problem.ts'
import { carryMoves } from '../library/carryMoves.ts'
import type { Library } from '../library/library.ts'
import { hasStations, newBlock, stationsOf, type Block } from '../session/forms.ts'
import { gradesName, type Group } from '../terms/group.ts'
import { limits } from '../base/limits.ts'
import { newSession } from '../session/newSession.ts'
import type { Dose } from '../terms/dose.ts'
import type { PerGroup } from '../terms/perGroup.ts'
import type { Section, Session } from '../session/schema.ts'
import type { Station } from '../session/station.ts'
import { cleanText } from '../base/text.ts'
import { BroughtMoves } from './broughtMoves.ts'
import type { Readings } from './free/understandName.ts'
import { readDetail, targetLine, type DetailsWords } from './detailsText.ts'
import { notationOf } from './formNotations.ts'
import { readFormLine } from './readForm.ts'
import { readInline } from './readInline.ts'
import { readStation } from './readStation.ts'
import { readHead, roleInTitle } from './sectionHead.ts'
import { untitled } from './strip.ts'
import { stripText } from './stripText.ts'
import { textProblem, type TextProblem } from './textProblem.ts'

/**
 * Whether every line of a text is in our own notation; reading stops at the first line that is not.
 *
 * @example isOurs('squat 10', library) // true
 */
export function isOurs(text: string, library: Library, defaults?: readonly Group[]): boolean {
  const reader = new Reader(library, defaults)
  const lines = text.slice(0, limits.bytes).split(lineBreak)
  return lines.every((line, i) => reader.goesOn(line, i + 1) && reader.isWhole)
}
const lineBreak = /\r\n|[\n\r\u2028\u2029]/

/** The result of a text: a session, what could not be read, and which details it gave. */
export interface Parsed {
  workout: Session
  problems: TextProblem[]
  /** Whether it gives a title, minutes, groups or space; others come from `defaults`. */
  said: { title: boolean; details: boolean; minutes: boolean; groups: boolean; space: boolean; headings: boolean }
  /** The line of each section, block and station, from 1, by its id. */
  lines: ReadonlyMap<string, number>
}

/** Reads a line that is not in our form: its stations, or undefined if it is only words. */
export type ReadsFreely = (
  text: string,
  at: { line: number; column: number },
  block: Block,
  groups: readonly Group[],
) => Station[] | undefined

/** Longer lines are no whiteboard lines; notes may be as long as notes may be. */
const longestLine = 6000

/**
 * Reads a whiteboard text. Whatever can be read is read; the rest is reported with its line and column, and left out. A text with more
 * lines or mistakes than a session ever has is read up to the limit, and that is reported too.
 *
 * @param defaults the groups of a text that names none; by default K–1, 2–3 and 4–6
 * @param freely called for a line that is not fully read; without it such a line is a mistake
 * @param readings the teacher's answers on what names in quotes mean; otherwise unknown ones are new exercises of hers
 */
export function parse(
  text: string,
  library: Library,
  defaults?: readonly Group[],
  freely?: ReadsFreely,
  readings?: Readings,
): Parsed {
  const reader = new Reader(library, defaults, freely, new BroughtMoves(library, readings))
  const lines = text.slice(0, limits.bytes).split(lineBreak)
  for (const [i, line] of lines.entries()) if (!reader.goesOn(line, i + 1)) break
  return reader.end()
}

const lanes = [
  [0, 1],
  [2, 3],
  [4, 5, 6],
]

class Reader {
  #library: Library
  #freely: ReadsFreely | undefined
  #problems: TextProblem[] = []
  #title: string | undefined
  #details: DetailsWords = {}
  #saidDetails = false
  #target: string[] = []
  #groups: readonly Group[]
  #sections: Section[] = []
  #section: Section | undefined
  #block: Block | undefined
  #common: PerGroup<Dose> | undefined
  #blockTitle: string | undefined
  #headings = false
  #ids = { p: 0, b: 0, s: 0 }
  #lines = new Map<string, number>()
  #at = 0
  #brought: BroughtMoves | undefined

  constructor(library: Library, defaults: readonly Group[] | undefined, freely?: ReadsFreely, brought?: BroughtMoves) {
    this.#library = library
    this.#freely = freely
    this.#brought = brought
    this.#groups = defaults ?? newSession('x', lanes, 20, library.version).groups
  }

  /** Whether everything so far could be read. */
  get isWhole(): boolean {
    return this.#problems.length === 0
  }

  /** Reads a line, if there is room for it. */
  goesOn(raw: string, n: number): boolean {
    if (n > limits.lines) {
      const at = { line: n, column: 1, length: Math.max(1, raw.length) }
      this.#problems.push(
        textProblem('too-many', at, { expected: { atMost: limits.lines, of: 'lines', unread: true } }),
      )
      return false
    }
    if (this.#problems.length > limits.mistakes) return false
    this.#at = n
    this.#line(raw, n)
    return true
  }

  #line(raw: string, n: number): void {
    const line = raw.trimEnd()
    const text = line.trimStart()
    if (text.startsWith('>')) return this.#note(line.slice(line.indexOf('>') + 1).replace(/^ /, ''))
    if (text === '') return
    const heading = /^(#{1,3})(?!#)\s*(.*)$/.exec(text)
    if (heading) return this.#heading(heading[1]!.length, heading[2]!)
    if (text.length > longestLine) {
      const at = { line: n, column: 1, length: text.length }
      this.#problems.push(textProblem('too-large', at, { expected: { atMost: longestLine, of: 'characters' } }))
      return
    }
    if (!this.#section && this.#detail(text, n)) return
    this.#row(text, n, raw.length - raw.trimStart().length)
  }

  #heading(level: number, words: string): void {
    const clean = cleanText(words, 'line').trim()
    if (level === 1) this.#title ??= clean
    else if (level === 2) this.#openSection(readHead(words))
    else {
      this.#close()
      this.#need()
      this.#blockTitle = clean || undefined
    }
  }

  #openSection(head: Omit<Section, 'id' | 'blocks'>): void {
    this.#close()
    this.#headings = true
    if (this.#sections.length >= limits.sections) {
      this.#tooMany('sections', limits.sections)
      return
    }
    this.#section = { id: `p${++this.#ids.p}`, ...head, blocks: [] }
    this.#lines.set(this.#section.id, this.#at)
    this.#sections.push(this.#section)
  }

  /** The section that rows go into: a text without any headings is one main section. */
  #need(): Section {
    if (!this.#section) {
      this.#section = { id: `p${++this.#ids.p}`, role: roleInTitle(''), title: 'Main part', blocks: [] }
      this.#sections.push(this.#section)
    }
    return this.#section
  }

  #note(words: string): void {
    const clean = cleanText(words, 'paragraph')
    const add = (note: string | undefined) =>
      (note === undefined ? clean : `${note}\n${clean}`).slice(0, limits.paragraph)
    if (this.#block) this.#block = { ...this.#block, note: add(this.#block.note) }
    else if (this.#section) this.#section.note = add(this.#section.note)
  }

  #detail(text: string, n: number): boolean {
    const target = targetLine.exec(text)
    if (target) {
      this.#target.push(cleanText(target[1]!, 'paragraph'))
      return true
    }
    const facts = text
      .split(/[;·]/)
      .map((part) => part.trim())
      .filter(Boolean)
    const read = facts.map(readDetail)
    if (!read.some(Boolean)) return false
    read.forEach((detail) => Object.assign(this.#details, detail))
    this.#saidDetails = true
    if (this.#details.groups) this.#groups = this.#details.groups
    facts.forEach((fact, i) => {
      if (read[i]) return
      const at = { line: n, column: Math.max(0, text.indexOf(fact)) + 1, length: fact.length }
      this.#problems.push(textProblem('unread', at, { received: fact }))
    })
    return true
  }

  /** Adds the open block to its section. */
  #close(): void {
    if (this.#block) {
      const note = stripText(this.#block.note)
      const { note: _, ...block } = this.#block
      this.#need().blocks.push(this.#plainWords({ ...block, ...(note && { note }) } as Block))
    }
    this.#block = this.#common = this.#blockTitle = undefined
  }

  #open(block: Block, common?: PerGroup<Dose>): void {
    const title = this.#blockTitle
    this.#close()
    this.#need()
    this.#block = title ? { ...block, title } : block
    this.#lines.set(block.id, this.#at)
    this.#common = common
  }

  #tooMany(what: Counted, most: number): void {
    if (this.#problems.some((p) => p.code === 'too-many')) return
    const at = { line: 1, column: 1, length: 1 }
    this.#problems.push(textProblem('too-many', at, { expected: { atMost: most, of: what }, received: { is: 'more' } }))
  }

  #room(): boolean {
    const blocks = this.#sections.reduce((n, s) => n + s.blocks.length, 0) + (this.#block ? 1 : 0)
    if (blocks < limits.blocks) return true
    this.#tooMany('blocks', limits.blocks)
    return false
  }

  #blockId = () => `b${++this.#ids.b}`

  #row(text: string, n: number, indent: number): void {
    const own = this.#block && readOwnLine(text, this.#block)
    if (own) {
      this.#block = own
      return
    }
    if (this.#ownWords(text)) return
    const opened = readFormLine(text, this.#groups, 'b0', n)
    const names = this.#freely ? 'any' : this.#brought ? 'quoted' : 'known'
    const inline = opened?.problems.length === 0 ? undefined : readInline(text, this.#groups, this.#library, n, names)
    if (opened && !inline) {
      if (!this.#room()) return
      this.#problems.push(...opened.problems)
      this.#open({ ...opened.block, id: this.#blockId() } as Block, opened.common)
      return
    }
    if (inline) {
      if (!this.#room()) return
      this.#open({ ...inline.block, id: this.#blockId() } as Block, inline.common)
      for (const row of inline.rows) this.#station(row.text, n, row.at + indent, row.word)
      this.#problems.push(...inline.problems)
      // One line is a whole block: what follows is a separate list.
      this.#close()
      return
    }
    this.#station(text, n, indent)
  }

  /** A row's own words below it: `note: …`, `easier: …`, `harder: …`. */
  #ownWords(text: string): boolean {
    const match = /^(note|easier|harder):(?: (.*))?$/i.exec(text)
    const block = this.#block
    const last = block && stationsOf(block).at(-1)
    if (!match || !last) return false
    const key = match[1]!.toLowerCase() as 'note' | 'easier' | 'harder'
    const words = cleanText(match[2] ?? '', key === 'note' ? 'paragraph' : 'line')
    const before = key === 'note' ? last.note : undefined
    const value = (before === undefined ? words : `${before}\n${words}`).slice(0, limits.paragraph)
    const stations = stationsOf(block).map((s) => (s === last ? { ...s, [key]: value } : s))
    this.#block = { ...block, stations } as Block
    return true
  }

  /** A block's rows with their own words. */
  #plainWords(block: Block): Block {
    if (!hasStations(block)) return block
    const stations = block.stations.map((station) => {
      const { note, easier, harder, ...rest } = station
      const words = { note: stripText(note), easier: stripText(easier), harder: stripText(harder) }
      return { ...rest, ...Object.fromEntries(Object.entries(words).filter(([, value]) => value)) }
    })
    return { ...block, stations } as Block
  }

  #station(text: string, n: number, at: number, word?: Pick<Station, 'face'>): void {
    const block = this.#block && hasStations(this.#block) ? this.#block : newBlock.list('b0')
    if (this.#ids.s >= limits.stations) return this.#tooMany('stations', limits.stations)
    const { station, problems } = readStation(
      text,
      block,
      this.#groups,
      this.#library,
      's0',
      n,
      this.#common,
      at,
      this.#brought,
    )
    if (problems.length && this.#freely && !word) {
      const read = this.#freely(text, { line: n, column: at + 1 }, block, this.#groups)
      if (read) read.forEach((free) => this.#add(free))
      else {
        this.#need()
        this.#note(text)
      }
      return
    }
    this.#problems.push(...problems)
    if (station) this.#add({ ...station, ...word })
  }

  #add(station: Station): void {
    if (!this.#block || !hasStations(this.#block)) {
      if (!this.#room()) return
      this.#open(newBlock.list(this.#blockId()))
    }
    const into = this.#block as Extract<Block, { stations: unknown[] }>
    const added = { ...station, id: `s${++this.#ids.s}` }
    this.#lines.set(added.id, this.#at)
    this.#block = { ...into, stations: [...stationsOf(into), added] } as Block
  }

  end(): Parsed {
    this.#close()
    const { minutes, groups, space, quiet, together, outdoors, finishTogether, builds } = this.#details
    const base = newSession(this.#title || untitled, [[0]], minutes ?? 20, this.#library.version)
    const moves = this.#brought?.moves ?? []
    const target = this.#target.join('\n').trim().slice(0, limits.paragraph)
    const session: Session = {
      ...base,
      groups: this.#groups.map((g) => ({ ...g, name: g.name || gradesName(g.grades) })),
      finishTogether: finishTogether ?? false,
      aim: { builds: builds ?? [], target, words: [] },
      home: {
        ...base.home,
        space: space ?? base.home.space,
        quiet: quiet ?? false,
        company: together ? 'together' : 'alone',
        outdoors: outdoors ?? false,
      },
      sections: this.#sections.map((s) => {
        const note = stripText(s.note)
        const { note: _, ...section } = s
        return { ...section, ...(note && { note }) }
      }),
      ...(moves.length && { moves }),
    }
    const said = {
      title: this.#title !== undefined,
      details: this.#saidDetails,
      minutes: minutes !== undefined,
      groups: groups !== undefined,
      space: space !== undefined,
      headings: this.#headings,
    }
    const carrying = moves.length ? carryMoves(session, this.#library) : session
    return { workout: carrying, problems: atMost(this.#problems), said, lines: this.#lines }
  }
}

/** The first mistakes, and one that says there are more. */
function atMost(problems: TextProblem[]): TextProblem[] {
  const next = problems[limits.mistakes]
  if (!next) return problems
  const { line, column, length } = next
  const expected = { atMost: limits.mistakes, of: 'mistakes', unread: true } as const
  return [...problems.slice(0, limits.mistakes), textProblem('too-many', { line, column, length }, { expected })]
}

function readOwnLine(text: string, block: Block): Block | undefined {
  return notationOf(block.form).lines?.read(text, block)
}
