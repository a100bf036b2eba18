import type { Lane, Publication } from '../publication/schema.ts'
import type { Say } from '../timing/step.ts'
import { phrasesIn, type Language } from '../terms/language.ts'
import { moveNames } from '../words/names.ts'
import { sayText } from '../words/say.ts'
import { sheetOf } from './formSheets.ts'
import { sheetRows } from './sheetRows.ts'

/** Something a session asks a child to write down. */
export interface RecordRow {
  block: string
  /** The part of the session it is in. */
  part: string
  /** Of a station, a measurement; what else is written down is named by its kind. */
  kind: 'station' | 'measure' | 'rounds' | 'level' | 'points'
  name?: string
  /** One a lap, set, trial or round. */
  boxes: number
  kg?: number
}

/** Everything a lane's session records, in its order, without what a surprise would give away. */
export function recordRows(publication: Publication, lane: Lane, language: Language): RecordRow[] {
  const names = moveNames(new Map(publication.moves.map((m) => [m.id, m])), phrasesIn(publication.phrases, language))
  return sheetRows(publication, lane, language)
    .filter((section) => !section.surprise)
    .flatMap((section) => section.blocks.map((block) => ({ block, part: block.title || section.title })))
    .flatMap(({ block, part }): RecordRow[] => {
      const place = { block: block.id, part }
      const play = lane.plays[block.id]
      const steps = lane.steps.filter((s) => s.block === block.id)
      const measures = steps.filter((s) => s.kind === 'measure')
      const stations = block.rows.flatMap(({ record, name, boxes, kg }): RecordRow[] =>
        record ? [{ ...place, kind: 'station', name, boxes, ...(kg !== undefined && { kg }) }] : [],
      )
      const { record, trials } = sheetOf(play)
      const own: RecordRow[] = record ? [{ ...place, kind: record.kind, boxes: record.boxes(steps) }] : []
      const measured: RecordRow[] = measures.slice(0, 1).map((s) => ({
        ...place,
        kind: 'measure',
        name: sayText(s.say as Say, names, language),
        boxes: (play && trials?.(play)) ?? measures.length,
      }))
      return [...stations, ...own, ...measured]
    })
}
