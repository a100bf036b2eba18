import type { Lane, Publication } from '../publication/schema.ts'
import type { Say } from '../timing/step.ts'
import { phrasesIn, type Language } from '../terms/language.ts'
import type { Unit } from '../terms/units.ts'
import { moveNames } from '../words/names.ts'
import { sayText } from '../words/say.ts'
import { measureOf } from '../publication/measureOf.ts'
import { sheetOf } from './formSheets.ts'
import { sheetRows } from './sheetRows.ts'

/** Something a session asks a child to write down. */
export interface RecordRow {
  block: string
  /** The section of the session it is in. */
  part: string
  /** Of a station or a measurement; anything else is named by its kind. */
  kind: 'station' | 'measure' | 'rounds' | 'level' | 'points'
  station?: string
  name?: string
  unit: Unit
  /** One per lap, set, trial or round. */
  boxes: number
  kg?: number
}

/** What is counted when a form is recorded as a whole; for a measurement, what is measured. */
const unitOf = { rounds: 'goes', level: 'goes', points: 'score' } as const
/** For sessions sent home before they carried their tests. */
const unitOfTest: Partial<Record<string, Unit>> = { hold: 'seconds', reps30: 'reps' }

/**
 * Everything a lane's session records, in order.
 *
 * @param surprises whether to include what would give a surprise away; a family's sheet leaves it out
 */
export function recordRows(publication: Publication, lane: Lane, language: Language, surprises = false): RecordRow[] {
  const names = moveNames(new Map(publication.moves.map((m) => [m.id, m])), phrasesIn(publication.phrases, language))
  return sheetRows(publication, lane, language)
    .filter((section) => surprises || !section.surprise)
    .flatMap((section) => section.blocks.map((block) => ({ block, part: block.title || section.title })))
    .flatMap(({ block, part }): RecordRow[] => {
      const place = { block: block.id, part }
      const play = lane.plays[block.id]
      const steps = lane.steps.filter((s) => s.block === block.id)
      const measures = steps.filter((s) => s.kind === 'measure')
      const stations = block.rows.flatMap(({ record, station, name, boxes, kg }): RecordRow[] =>
        record && station !== undefined
          ? [{ ...place, kind: 'station', station, name, unit: record, boxes, ...(kg !== undefined && { kg }) }]
          : [],
      )
      const { record, trials } = sheetOf(play)
      const own: RecordRow[] = record
        ? [{ ...place, kind: record.kind, unit: unitOf[record.kind], boxes: record.boxes(steps) }]
        : []
      const measured: RecordRow[] = measures.slice(0, 1).map((s) => ({
        ...place,
        kind: 'measure',
        name: sayText(s.say as Say, names, language),
        unit: measureOf(publication, play)?.unit ?? unitOfTest[play && 'test' in play ? play.test : ''] ?? 'score',
        boxes: (play && trials?.(play)) ?? measures.length,
      }))
      return [...stations, ...own, ...measured]
    })
}
