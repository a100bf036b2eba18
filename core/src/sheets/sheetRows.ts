import type { PlayOf } from '../publication/playSchema.ts'
import type { Lane, Publication } from '../publication/schema.ts'
import type { Say } from '../timing/step.ts'
import type { Amount } from '../terms/dose.ts'
import type { Unit } from '../terms/units.ts'
import { phrasesIn, type Language } from '../terms/language.ts'
import { moveNames } from '../words/names.ts'
import { sheetOf } from './formSheets.ts'
import type { SheetBlock, SheetRow, SheetSection } from './sheetBlock.ts'
import { partTitle } from '../words/parts.ts'
import { doseWords, sayText } from '../words/say.ts'

/** Two cues are what a reader takes in beside a picture. */
const cuesShown = 2

/** What paper says of a lane's session: its sections, blocks and rows, in one language. */
export function sheetRows(publication: Publication, lane: Lane, language: Language): SheetSection[] {
  const phrase = phrasesIn(publication.phrases, language)
  const moves = new Map(publication.moves.map((m) => [m.id, m]))
  const names = moveNames(moves, phrase)
  const records = new Map(
    publication.sections
      .flatMap((s) => s.blocks)
      .flatMap((b) => b.stations)
      .flatMap((s) => (s.record ? [[s.id, s.record] as const] : [])),
  )

  function rowOf(of: { move: string; version: string; station?: string | undefined; story?: string | undefined }) {
    const move = moves.get(of.move)
    const version = move?.versions.find((v) => v.id === of.version)
    const kg = of.station === undefined ? undefined : lane.loads[of.station]
    const record = of.station === undefined ? undefined : records.get(of.station)
    return {
      ...(of.station !== undefined && { station: of.station }),
      name: of.story ?? names(of.move, of.version),
      cues: [...new Set([version?.how ?? '', ...(move?.cues ?? [])].filter(Boolean))].slice(0, cuesShown).map(phrase),
      ...(version && { figure: version.figure }),
      ...(record && { record }),
      ...(kg !== undefined && { kg }),
    }
  }
  const doseText = (amount: Amount | undefined, unit: Unit | undefined) =>
    amount !== undefined && unit ? doseWords(amount, unit, language) : ''

  function blockOf(id: string, title: string | undefined): SheetBlock {
    const steps = lane.steps.filter((s) => s.block === id)
    const play = lane.plays[id]
    const sheet = sheetOf(play)
    const turns = !play ? [] : (sheet.turns?.(play) ?? ('turns' in play ? play.turns : []))
    const chance = play && 'table' in play ? play : undefined
    const lapOf = (step: (typeof steps)[number]) => (sheet.once ? 1 : (step.set ?? step.lap ?? 1))
    const said = (step: (typeof steps)[number]) => sayText(step.say as Say, names, language)
    /** The sum that says how many, where one does: its answer is the child's to find. */
    const sums = new Map(
      steps.flatMap((s) => (s.say.code === 'sums.sum' && s.station ? [[s.station, said(s)] as const] : [])),
    )
    const noDose = play !== undefined && sheet.noDose?.(play) === true
    const faceOf = (station: string | undefined) =>
      chance?.table.find(({ turns }) => turns.some((turn) => turn.station === station))?.face
    const faced = (station: string | undefined) => {
      const face = faceOf(station)
      return face ? { face } : {}
    }
    const rows: SheetRow[] = []
    for (const step of steps) {
      if (step.kind !== 'work' || !step.move || !step.version) continue
      const known = rows.find((row) => row.station === step.station)
      const { amount, unit, story } = step.say.params as { amount?: Amount; unit?: Unit; story?: string }
      const times = lapOf(step)
      if (known) {
        known.boxes = Math.max(known.boxes, times)
        continue
      }
      rows.push({
        ...rowOf({ move: step.move, version: step.version, station: step.station, story }),
        ...faced(step.station),
        dose: sums.get(step.station!) ?? (noDose ? '' : doseText(amount, unit)),
        eachSide: step.side !== undefined,
        boxes: times,
      })
    }
    // What is drawn or chosen is in no step, or not in every one.
    for (const turn of turns) {
      if (rows.some((row) => row.station === turn.station && turn.station !== undefined)) continue
      rows.push({
        ...rowOf(turn),
        ...faced(turn.station),
        dose: noDose ? '' : doseText(turn.amount, turn.unit),
        eachSide: turn.sides === 'each',
        boxes: 1,
      })
    }
    const lines = play
      ? (sheet.lines?.(play, steps, said) ?? [])
      : steps.filter((s) => (s.kind === 'talk' && s.say.code !== 'sums.sum') || s.kind === 'measure').map(said)
    return {
      id,
      ...(title && { title }),
      times: sheet.goneThroughOnce ? 1 : Math.max(1, ...steps.map(lapOf)),
      ...(play && sheet.block?.(play)),
      pace: paceOf(lane, id),
      rows: chance ? inTableOrder(chance, rows) : rows,
      lines: [...new Set(lines)].filter((line) => line !== title),
    }
  }

  return publication.sections.map((section) => ({
    id: section.id,
    title: partTitle(section, language),
    surprise: section.surprise === true,
    seconds: lane.steps.filter((s) => s.section === section.id).reduce((sum, s) => sum + s.seconds.typical, 0),
    blocks: section.blocks
      .map(({ id, title }) => blockOf(id, title))
      .filter((block) => block.rows.length + block.lines.length > 0 || block.title !== undefined),
  }))
}

/** Rows as they stand in the table: column by column, however the draws of one game fell. */
function inTableOrder({ table }: PlayOf<'chance'>, rows: readonly SheetRow[]): SheetRow[] {
  const order = table.flatMap(({ turns }) => turns.map((turn) => turn.station))
  return [...rows].sort((a, b) => order.indexOf(a.station) - order.indexOf(b.station))
}

/** Work and rest by the clock, lap by lap; a split slot is one; nothing where the child keeps the time. */
function paceOf(lane: Lane, block: string): { work: number; rest: number }[] {
  const steps = lane.steps.filter((s) => s.block === block)
  const work = steps.filter((s) => s.kind === 'work')
  if (work.length === 0 || work.some((s) => s.by !== 'clock' || s.lap === undefined)) return []
  const laps = [...new Set(work.map((s) => s.lap!))].map((lap) => {
    const own = work.filter((s) => s.lap === lap)
    const slot = own.filter((s) => s.station === own[0]!.station)
    const rest = steps.find((s) => s.kind === 'rest' && s.lap === lap)
    return { work: slot.reduce((sum, s) => sum + s.seconds.typical, 0), rest: rest?.seconds.typical ?? 0 }
  })
  return laps.every((lap) => lap.work === laps[0]!.work && lap.rest === laps[0]!.rest) ? laps.slice(0, 1) : laps
}
