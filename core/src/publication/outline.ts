import type { Publication } from './schema.ts'

/** What has to be known of a publication so that nobody reads it whole for a run or for a list. */
export interface Outline {
  lanes: {
    id: string
    letter: string
    name: string
    /** What each station is called to this lane: its version's name. */
    stations: Record<string, string>
    /** The move and version each station begins with; outlines of the release before have none. */
    does?: Record<string, { move: string; version: string }>
  }[]
  /** With what is measured in it, where something is. */
  blocks: { id: string; name: string; stations: string[]; test?: string }[]
  /** Ids of the moves in it. */
  moves: string[]
}

/** The outline of what is sent out. */
export function outlineOf(publication: Publication): Outline {
  const names = new Map(
    publication.moves.flatMap((m) => m.versions.map((v): [string, string] => [`${m.id}/${v.id}`, v.name])),
  )
  const tests = new Map(
    publication.lanes.flatMap(({ plays }) =>
      Object.entries(plays).flatMap(([block, play]) => (play && 'test' in play ? [[block, play.test] as const] : [])),
    ),
  )
  return {
    lanes: publication.lanes.map(({ id, letter, name, steps }) => {
      const stations: Record<string, string> = {}
      const does: Record<string, { move: string; version: string }> = {}
      for (const { station, move, version } of steps) {
        if (!station || !move || !version) continue
        stations[station] ??= names.get(`${move}/${version}`) ?? move
        does[station] ??= { move, version }
      }
      return { id, letter, name, stations, does }
    }),
    blocks: publication.sections.flatMap((s) =>
      s.blocks.map((b) => {
        const test = tests.get(b.id)
        return { id: b.id, name: b.title ?? s.title, stations: b.stations.map(({ id }) => id), ...(test && { test }) }
      }),
    ),
    moves: publication.moves.map((m) => m.id),
  }
}

/** Whether an outline says all that one says today; else it is made again. */
export const isWholeOutline = (outline: Outline | null | undefined): outline is Outline =>
  outline?.lanes.every((lane) => lane.does) === true
