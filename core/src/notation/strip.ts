import { stationsOf, type Block } from '../session/forms.ts'
import { blockAsRead } from './blockAsRead.ts'
import type { Library } from '../library/library.ts'
import { canonical, settled, type PerGroup } from '../terms/perGroup.ts'
import type { Section, Session } from '../session/schema.ts'
import type { Cell, Station } from '../session/station.ts'
import { notationOf } from './formNotations.ts'
import { stripGroup } from './groupsText.ts'
import { normalCells } from './normalCells.ts'
import { stripHead } from './sectionHead.ts'
import { stripText } from './stripText.ts'

/** A value with its groups' ids replaced; each keeps its part. */
export function renamedGroups<T>(value: PerGroup<T>, ids: ReadonlyMap<string, string>): PerGroup<T> {
  const by = Object.entries(value.by ?? {}).flatMap(([id, v]): [string, T][] => {
    const to = ids.get(id)
    return to === undefined ? [] : [[to, v]]
  })
  return canonical({ all: value.all, by: Object.fromEntries(by) })
}

const hundredths = (kg: number) => Math.round(kg * 100) / 100

function stripCell(cell: Cell): Cell {
  const { fromLap, load, ...rest } = cell
  return {
    ...rest,
    ...(load && { load: { kg: hundredths(load.kg) } }),
    ...(fromLap && {
      fromLap: fromLap.map((change) => ({
        ...change,
        ...(change.load && { load: { kg: hundredths(change.load.kg) } }),
      })),
    }),
  }
}

/** A station as a text says it: what each group does, and what comes before it in its form. */
export function stripStation(
  station: Station,
  block: Block,
  groupIds: readonly string[],
  ids: ReadonlyMap<string, string>,
  library: Pick<Library, 'moves'>,
): Station {
  const { all, by } = renamedGroups(station.cells, ids)
  const own: PerGroup<Cell> = {
    all: stripCell(all),
    by: by && Object.fromEntries(Object.entries(by).map(([id, cell]) => [id, stripCell(cell)])),
  }
  const { prefix } = notationOf(block.form)
  const word = prefix?.print(station)
  const said = word === undefined || !wordBefore(word) ? undefined : prefix!.read(wordBefore(word), block)
  const words = Object.fromEntries(
    (['note', 'easier', 'harder'] as const).flatMap((key) => {
      const text = stripText(station[key])
      return text ? [[key, text]] : []
    }),
  )
  return { id: station.id, cells: normalCells(own, groupIds, library), ...said, ...words }
}

/** A word that may come before a colon: without marks that mean something in a text. */
export const wordBefore = (word: string): string =>
  word
    .replace(/["[\];:#>|,·]/g, ' ')
    .replace(/\s+/g, ' ')
    .trim()
    .slice(0, 60)
    .trim()

/** A block without what a text cannot say. */
export function stripBlock(
  block: Block,
  groupIds: readonly string[],
  ids: ReadonlyMap<string, string>,
  library: Pick<Library, 'moves'>,
): Block {
  const notation = notationOf(block.form)
  let stripped = blockAsRead(block.form, block.id)
  const named = notation.facts.map((f) => {
    const value = f.get(block)
    return value && settled(renamedGroups(value, ids), groupIds)
  })
  notation.facts.forEach((f, i) => {
    const value = named[i]
    if (value && !(f.silent?.(value.all) && !value.by)) stripped = f.set(stripped, value)
  })
  if (notation.lines) {
    const own = notation.lines.strip(block)
    // Extra lines and facts give different fields; the facts' come from the stripped block.
    const facts = new Set(Object.keys(stripped))
    stripped = {
      ...own,
      ...Object.fromEntries(
        Object.entries(stripped).filter(([k]) => !(k in own) || notation.lines?.facts?.includes(k)),
      ),
    } as Block
    for (const key of Object.keys(stripped))
      if (!facts.has(key)) delete (stripped as unknown as Record<string, unknown>)[key]
  }
  const title = stripText(block.title)
  const note = stripText(block.note)
  const { title: _t, note: _n, link: _l, ...rest } = stripped
  const stations = stationsOf(block)
  return {
    ...rest,
    ...(title && { title }),
    ...(note && { note }),
    ...('stations' in rest && { stations: stations.map((s) => stripStation(s, block, groupIds, ids, library)) }),
  } as Block
}

/**
 * A session without what a whiteboard text cannot say: ids, letters and ages, pins, story names, focus, records, equipment, vocabulary,
 * links, seeds, defaults. This is what `parse(print(w))` returns.
 *
 * @param library whose version it gets
 */
export function strip(session: Session, library: Pick<Library, 'version' | 'moves'>): Session {
  const groups = session.groups.map(stripGroup)
  const ids = new Map(session.groups.map((g, i) => [g.id, `g${i + 1}`]))
  const groupIds = groups.map((g) => g.id)
  let p = 0
  let b = 0
  let s = 0
  const sections = session.sections.map((section): Section => {
    const note = stripText(section.note)
    return {
      id: `p${++p}`,
      ...stripHead(section),
      ...(note && { note }),
      blocks: section.blocks.map((block) => {
        const stripped = { ...stripBlock(block, groupIds, ids, library), id: `b${++b}` } as Block
        return 'stations' in stripped
          ? { ...stripped, stations: stripped.stations.map((x) => ({ ...x, id: `s${++s}` })) }
          : stripped
      }),
    }
  })
  return {
    format: session.format,
    version: session.version,
    title: session.title.trim() || untitled,
    aim: { builds: [...new Set(session.aim.builds)], target: stripText(session.aim.target) ?? '', words: [] },
    minutes: session.minutes,
    finishTogether: session.finishTogether,
    groups,
    home: {
      space: session.home.space,
      quiet: session.home.quiet,
      company: session.home.company,
      kit: [],
      standIns: {},
      outdoors: session.home.outdoors,
    },
    libraryVersion: library.version,
    sections,
  }
}

/** The name of a session without a title. */
export const untitled = 'Session'
