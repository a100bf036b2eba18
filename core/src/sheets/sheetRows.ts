import type { PlayedTurn, PlayOf } from '../publication/playSchema.ts'
import type { Lane, Publication } from '../publication/schema.ts'
import type { Say } from '../timing/step.ts'
import type { Amount } from '../terms/dose.ts'
import type { Unit } from '../terms/units.ts'
import { phrasesIn, type Language } from '../terms/language.ts'
import { moveNames, type Names } from '../words/names.ts'
import { sheetOf } from './formSheets.ts'
import type { SheetBlock, SheetRow, SheetSection } from './sheetBlock.ts'
import { partTitle } from '../words/parts.ts'
import { doseWords, sayText } from '../words/say.ts'

/** A reader takes in two cues next to a picture. */
const cuesShown = 2

/** A lane's session for print: its sections, blocks and rows, in one language. */
export function sheetRows(publication: Publication, lane: Lane, language: Language): SheetSection[] {
  const writer = new BlockWriter(publication, lane, language)
  const phrase = phrasesIn(publication.phrases, language)
  return publication.sections.map((section) => ({
    id: section.id,
    title: phrase(partTitle(section, language)),
    surprise: section.surprise === true,
    seconds: lane.steps.filter((s) => s.section === section.id).reduce((sum, s) => sum + s.seconds.typical, 0),
    blocks: section.blocks
      .map(({ id, title }) => writer.block(id, title && phrase(title)))
      .filter((block) => block.rows.length + block.lines.length > 0 || block.title !== undefined),
  }))
}

type LaneStep = Lane['steps'][number]
type PublishedStation = Publication['sections'][number]['blocks'][number]['stations'][number]
interface Named {
  move: string
  version: string
  station?: string | undefined
  story?: string | undefined
}

/** Writes the blocks of one lane. */
class BlockWriter {
  readonly #publication: Publication
  readonly #lane: Lane
  readonly #language: Language
  readonly #phrase: (text: string) => string
  readonly #moves: ReadonlyMap<string, Publication['moves'][number]>
  readonly #names: Names
  readonly #stations: ReadonlyMap<string, PublishedStation>

  constructor(publication: Publication, lane: Lane, language: Language) {
    this.#publication = publication
    this.#lane = lane
    this.#language = language
    this.#phrase = phrasesIn(publication.phrases, language)
    this.#moves = new Map(publication.moves.map((m) => [m.id, m]))
    this.#names = moveNames(this.#moves, this.#phrase)
    const stations = publication.sections.flatMap((s) => s.blocks).flatMap((b) => b.stations)
    this.#stations = new Map(stations.map((station) => [station.id, station]))
  }

  block(id: string, title: string | undefined): SheetBlock {
    const steps = this.#lane.steps.filter((s) => s.block === id)
    const play = this.#lane.plays[id]
    const sheet = sheetOf(play)
    const chance = play && 'table' in play ? play : undefined
    const lapOf = (step: LaneStep) => (sheet.once ? 1 : (step.set ?? step.lap ?? 1))
    const noDose = play !== undefined && sheet.noDose?.(play) === true
    const turns = play ? (sheet.turns?.(play) ?? ('turns' in play ? play.turns : [])) : []
    const rows = this.#withTurns(this.#rows(steps, lapOf, noDose), turns, noDose, id)
    const faced = chance ? inTableOrder(chance, rows) : rows
    const said = (step: LaneStep) => this.#said(step)
    const lines = play
      ? (sheet.lines?.(play, steps, said, {
          publication: this.#publication,
          phrase: this.#phrase,
          language: this.#language,
        }) ?? [])
      : steps.filter(isLine).map(said)
    return {
      id,
      ...(title && { title }),
      times: sheet.goneThroughOnce ? 1 : Math.max(1, ...steps.map(lapOf)),
      ...(play && sheet.block?.(play)),
      pace: paceOf(this.#lane, id),
      rows: faced,
      lines: [...new Set(lines)].filter((line) => line !== title),
    }
  }

  /** The exercises in the steps, each station once. */
  #rows(steps: readonly LaneStep[], lapOf: (step: LaneStep) => number, noDose: boolean): SheetRow[] {
    /** The sum that gives the number, if there is one: its answer is for the child to find. */
    const sums = new Map(
      steps.flatMap((s) => (s.say.code === 'sums.sum' && s.station ? [[s.station, this.#said(s)] as const] : [])),
    )
    const rows: SheetRow[] = []
    for (const step of steps) {
      if (step.kind !== 'work' || !step.move || !step.version) continue
      const known = rows.find((row) => row.station === step.station)
      if (known) {
        known.boxes = Math.max(known.boxes, lapOf(step))
        continue
      }
      const { amount, unit, story } = step.say.params as { amount?: Amount; unit?: Unit; story?: string }
      rows.push({
        ...this.#row({ move: step.move, version: step.version, station: step.station, story }, step.block),
        dose: sums.get(step.station!) ?? (noDose ? '' : this.#dose(amount, unit)),
        eachSide: step.side !== undefined,
        boxes: lapOf(step),
      })
    }
    return rows
  }

  /** What is drawn or chosen is in no step, or not in every one. */
  #withTurns(rows: readonly SheetRow[], turns: readonly PlayedTurn[], noDose: boolean, block: string): SheetRow[] {
    const more = turns.filter((turn) => turn.station === undefined || !rows.some((r) => r.station === turn.station))
    return [
      ...rows,
      ...more.map((turn) => ({
        ...this.#row(turn, block),
        dose: noDose ? '' : this.#dose(turn.amount, turn.unit),
        eachSide: turn.sides === 'each',
        boxes: 1,
      })),
    ]
  }

  #row(named: Named, block: string): Omit<SheetRow, 'dose' | 'eachSide' | 'boxes'> {
    const { station } = named
    const move = this.#moves.get(named.move)
    const version = move?.versions.find((v) => v.id === named.version)
    const kg = station === undefined ? undefined : this.#lane.loads[station]
    const { record, note, easier, harder } = this.#stations.get(station ?? '') ?? {}
    const face = this.#face(station, block)
    const cues = [...new Set([version?.how ?? '', ...(move?.cues ?? [])].filter(Boolean))]
    return {
      ...(station !== undefined && { station }),
      name: named.story ?? this.#names(named.move, named.version),
      cues: cues.slice(0, cuesShown).map(this.#phrase),
      ...(note && { note: this.#phrase(note) }),
      ...(easier && { easier: this.#phrase(easier) }),
      ...(harder && { harder: this.#phrase(harder) }),
      ...(version && { figure: version.figure }),
      ...(record && { record }),
      ...(kg !== undefined && { kg }),
      ...(face && { face }),
    }
  }

  /** The side of the coin, suit or number that calls a station, in a form of chance. */
  #face(station: string | undefined, block: string): string | undefined {
    const play = this.#lane.plays[block]
    if (!play || !('table' in play)) return undefined
    return play.table.find(({ turns }) => turns.some((turn) => turn.station === station))?.face
  }

  #dose(amount: Amount | undefined, unit: Unit | undefined): string {
    return amount !== undefined && unit ? doseWords(amount, unit, this.#language) : ''
  }

  #said(step: LaneStep): string {
    return sayText(step.say as Say, this.#names, this.#language)
  }
}

/** Spoken text that belongs to no row. */
const isLine = (step: LaneStep) => (step.kind === 'talk' && step.say.code !== 'sums.sum') || step.kind === 'measure'

/** Rows in table order, column by column, regardless of the draws of one game. */
function inTableOrder({ table }: PlayOf<'chance'>, rows: readonly SheetRow[]): SheetRow[] {
  const order = table.flatMap(({ turns }) => turns.map((turn) => turn.station))
  return [...rows].sort((a, b) => order.indexOf(a.station) - order.indexOf(b.station))
}

/** Timed work and rest, lap by lap; a split slot counts as one; nothing if the child keeps the time, or rows take different times. */
function paceOf(lane: Lane, block: string): { work: number; rest: number }[] {
  const steps = lane.steps.filter((s) => s.block === block)
  const work = steps.filter((s) => s.kind === 'work')
  if (work.length === 0 || work.some((s) => s.by !== 'clock' || s.lap === undefined)) return []
  const laps = [...new Set(work.map((s) => s.lap!))].map((lap) => {
    const slots = slotSeconds(steps.filter((s) => s.lap === lap))
    const rest = steps.find((s) => s.kind === 'rest' && s.lap === lap)
    return { slots, work: slots[0]!, rest: rest?.seconds.typical ?? 0 }
  })
  if (laps.some((lap) => lap.slots.some((seconds) => seconds !== lap.work))) return []
  const pace = laps.map(({ work, rest }) => ({ work, rest }))
  return pace.every((lap) => lap.work === pace[0]!.work && lap.rest === pace[0]!.rest) ? pace.slice(0, 1) : pace
}

/** The seconds of each slot of a lap: one piece of work, or both sides of an exercise one after the other. */
function slotSeconds(steps: readonly LaneStep[]): number[] {
  const slots: number[] = []
  let before: LaneStep | undefined
  for (const step of steps) {
    if (step.kind === 'rest') before = undefined
    if (step.kind !== 'work') continue
    const second = before?.side !== undefined && before.station === step.station && before.side !== step.side
    if (second) slots.push(slots.pop()! + step.seconds.typical)
    else slots.push(step.seconds.typical)
    before = second ? undefined : step
  }
  return slots
}
