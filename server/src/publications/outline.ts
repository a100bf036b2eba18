import type { Knex } from 'knex'
import { type Publication } from '@esfuerzo/core/publication'

/** What the server has to know of a snapshot, so that nobody reads it whole for a run or for a list. */
export interface Outline {
  lanes: {
    id: string
    letter: string
    name: string
    /** What each station is called to this lane: its version's name. */
    stations: Record<string, string>
  }[]
  blocks: { id: string; name: string; stations: string[] }[]
  /** Ids of the moves in it. */
  moves: string[]
}

/** The outline of what is sent out. */
export function outlineOf(publication: Publication): Outline {
  const names = new Map(
    publication.moves.flatMap((m) => m.versions.map((v): [string, string] => [`${m.id}/${v.id}`, v.name])),
  )
  return {
    lanes: publication.lanes.map(({ id, letter, name, steps }) => {
      const stations: Record<string, string> = {}
      for (const { station, move, version } of steps)
        if (station && move) stations[station] ??= names.get(`${move}/${version}`) ?? move
      return { id, letter, name, stations }
    }),
    blocks: publication.sections.flatMap((s) =>
      s.blocks.map((b) => ({ id: b.id, name: b.title ?? s.title, stations: b.stations.map(({ id }) => id) })),
    ),
    moves: publication.moves.map((m) => m.id),
  }
}

/** Snapshots of the release before have no outline: it is made when it is first asked for, and kept. */
export async function makeOutlines(db: Knex, shas: readonly string[]): Promise<Map<string, Outline>> {
  const made = new Map<string, Outline>()
  for (const sha256 of shas) {
    const row = await db<{ sha256: string; body: string }>('snapshots').where({ sha256 }).first('body')
    if (!row) continue
    const outline = outlineOf(JSON.parse(row.body) as Publication)
    await db('snapshots')
      .where({ sha256 })
      .update({ outline: JSON.stringify(outline) })
    made.set(sha256, outline)
  }
  return made
}
