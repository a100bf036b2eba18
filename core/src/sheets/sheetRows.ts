import type { PlayOf } from '../publication/playSchema.ts'
import type { Lane, Publication } from '../publication/schema.ts'
import type { Say } from '../timing/step.ts'
import type { Amount } from '../terms/dose.ts'
import type { Unit } from '../terms/units.ts'
import { phrasesIn, type Language } from '../terms/language.ts'
import { moveNames } from '../words/names.ts'
import { partTitle } from '../words/parts.ts'
import { doseWords, sayText } from '../words/say.ts'

/** One station as paper shows it to a lane. */
export interface SheetRow {
  /** Its station's id; what a game asks for on a miss has none. */
  station?: string
  name: string
  /** How many or how long; the empty string where a clock or the child says. */
  dose: string
  /** Whether it is done on each side. */
  eachSide: boolean
  /** What to do, said to a child: the version's own words, then the first cues. */
  cues: string[]
  /** Id of its figure in the publication. */
  figure?: string
  /** The side of the coin, suit or number that calls it, in a game of chance. */
  face?: string
  /** Boxes to write in: one a lap, set or round; one where chance or the child says how often it comes. */
  boxes: number
  /** What the boxes are for, where the session asks for a result. */
  record?: Unit
  /** Kilograms it is done with. */
  kg?: number
}

/** A block as paper shows it. */
export interface SheetBlock {
  id: string
  title?: string
  /** How often it is gone through; once, where chance, a clock or the rungs say how often. */
  times: number
  /** What chance is asked, and until when: a number of draws or seconds. */
  chance?: Pick<PlayOf<'chance'>, 'device' | 'stop'>
  /** How many of the rows are chosen each time. */
  pick?: number
  /** Seconds after which it is over: as many rounds as fit, or as far as one comes. */
  cap?: { seconds: number; asMany: boolean }
  /** Seconds of work and rest by the clock, one pair a lap where laps differ, else one. */
  pace: { work: number; rest: number }[]
  rows: SheetRow[]
  /** Lines of a form without stations: rules, questions, what is measured. */
  lines: string[]
}

export interface SheetSection {
  id: string
  title: string
  surprise: boolean
  seconds: number
  blocks: SheetBlock[]
}

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
    const turns =
      play && 'turns' in play
        ? play.turns
        : play?.form === 'chance'
          ? play.table.flatMap((face) => face.turns)
          : play?.form === 'game' && play.onMiss
            ? [play.onMiss]
            : []
    const chance = play?.form === 'chance' ? play : undefined
    const asMany = play?.form === 'amrap'
    // What a draw or a round asks for is no lap: it is done once each, however often it comes.
    const lapOf = (step: (typeof steps)[number]) => (chance || asMany ? 1 : (step.set ?? step.lap ?? 1))
    const numbered = chance?.device === 'cards' || chance?.device === 'toss'
    /** The sum that says how many, where one does: its answer is the child's to find. */
    const sums = new Map(
      steps.flatMap((s) =>
        s.say.code === 'sums.sum' && s.station ? [[s.station, sayText(s.say as Say, names, language)] as const] : [],
      ),
    )
    const noDose = numbered || play?.form === 'ladder'
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
    const lines = !play
      ? steps
          .filter((s) => (s.kind === 'talk' && s.say.code !== 'sums.sum') || s.kind === 'measure')
          .map((s) => sayText(s.say as Say, names, language))
      : play.form === 'game'
        ? [play.setUp, play.rules, ...play.harder.map((line) => `+ ${line}`)].filter(Boolean)
        : play.form === 'quiz'
          ? play.questions.map((q) => `${q.ask}  ${q.answers.join(' / ')}`)
          : play.form === 'target'
            ? [...new Set(steps.filter((s) => s.kind === 'work').map((s) => sayText(s.say as Say, names, language)))]
            : play.form === 'ladder'
              ? [play.rungs.join(' · ')]
              : play.form === 'measure'
                ? steps.map((s) => sayText(s.say as Say, names, language))
                : []
    return {
      id,
      ...(title && { title }),
      times: play?.form === 'ladder' ? 1 : Math.max(1, ...steps.map(lapOf)),
      ...(chance && { chance: { device: chance.device, stop: chance.stop } }),
      ...(play?.form === 'intervals' && { pick: play.pick }),
      ...((play?.form === 'amrap' || play?.form === 'rounds') && { cap: { seconds: play.seconds, asMany } }),
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
