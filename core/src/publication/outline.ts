import { measuredIn } from './measuredIn.ts'
import type { Publication } from './schema.ts'

/** What must be known about a publication so that nobody has to read all of it for a run or a list. */
export interface Outline {
  lanes: {
    id: string
    letter: string
    name: string
    /** Outlines of earlier releases have none. */
    grades?: number[]
    /** The name of each station for this lane: its version's name. */
    stations: Record<string, string>
    /** Each station's exercise and version at the start; outlines of the release before have none. */
    does?: Record<string, { move: string; version: string }>
    /** Seconds of timed work at each station, lap by lap from 1; a station that a child counts is left out. */
    work?: Record<string, Record<number, number>>
    /** How many steps it has: no run did more. */
    steps?: number
  }[]
  /** What is measured in it: when in the lesson, and how it is set up. */
  blocks: { id: string; name: string; stations: string[]; test?: string; moment?: string; setUp?: string }[]
  /** Ids of its exercises. */
  moves: string[]
}

/** The outline of a publication. */
export function outlineOf(publication: Publication): Outline {
  const names = new Map(
    publication.moves.flatMap((m) => m.versions.map((v): [string, string] => [`${m.id}/${v.id}`, v.name])),
  )
  const tests = new Map(
    publication.lanes.flatMap(({ plays }) =>
      Object.entries(plays).flatMap(([block, play]) => {
        const measured = measuredIn(play)
        return measured ? [[block, measured] as const] : []
      }),
    ),
  )
  return {
    lanes: publication.lanes.map(({ id, letter, name, grades, steps }) => {
      const stations: Record<string, string> = {}
      const does: Record<string, { move: string; version: string }> = {}
      for (const { station, move, version } of steps) {
        if (!station || !move || !version) continue
        stations[station] ??= names.get(`${move}/${version}`) ?? move
        does[station] ??= { move, version }
      }
      return { id, letter, name, grades: [...grades], stations, does, work: workOf(steps), steps: steps.length }
    }),
    blocks: publication.sections.flatMap((s) =>
      s.blocks.map((b) => {
        const { test, moment, setUp } = tests.get(b.id) ?? {}
        return {
          id: b.id,
          // Results of a test are named after the test.
          name: b.title ?? publication.measures?.find((m) => m.id === test)?.name ?? s.title,
          stations: b.stations.map(({ id }) => id),
          ...(test && { test, moment, ...(setUp && { setUp }) }),
        }
      }),
    ),
    moves: publication.moves.map((m) => m.id),
  }
}

function workOf(steps: Publication['lanes'][number]['steps']): Record<string, Record<number, number>> {
  const work: Record<string, Record<number, number>> = {}
  for (const { kind, by, station, lap, set, seconds } of steps) {
    if (kind !== 'work' || by !== 'clock' || !station) continue
    const laps = (work[station] ??= {})
    // The second side of a lap is counted with the first.
    const nth = set ?? lap ?? 1
    laps[nth] = (laps[nth] ?? 0) + seconds.typical
  }
  return work
}

/** Whether an outline is complete by today's standard; if not, it is made again. */
export const isWholeOutline = (outline: Outline | null | undefined): outline is Outline =>
  outline?.lanes.every((lane) => lane.does && lane.work && lane.grades && lane.steps !== undefined) === true &&
  outline.blocks.every((block) => !block.test || block.moment)
