import * as core from '@esfuerzo/core'
import { cellsFor } from '../../src/library/cellsFor.ts'
import { hasStations, mapGroups, type Session } from '@esfuerzo/core'
import { library } from '../sessions.ts'

/** Every edit of the public list, applied to something the session has; random numbers make the choices. */
export function editsOf(w: Session, pick: (n: number) => number, cell: core.Cell): Record<string, () => Session> {
  const one = <T>(list: readonly T[]): T | undefined => (list.length ? list[pick(list.length)] : undefined)
  const section = one(w.sections)?.id ?? 'p0'
  const blocks = w.sections.flatMap((s) => s.blocks)
  const block = one(blocks)
  const clocked = blocks.filter((b) => b.form === 'intervals')
  const withRows = one(blocks.filter(hasStations))
  const station = one(blocks.flatMap((b) => core.stationsOf(b)))?.id ?? 's0'
  const group = one(w.groups)!.id
  const scope = pick(2) ? ('all' as const) : [group]
  const by = pick(2) ? 1 : -1
  const move = one([...library.moves.values()])!
  return {
    addSection: () =>
      core.addSection(w, { role: 'main', title: 'New\n\u0007part', form: one(core.forms) }, pick(2) ? section : null),
    removeSection: () => core.removeSection(w, section),
    moveSection: () => core.moveSection(w, section, by),
    duplicateSection: () => core.duplicateSection(w, section),
    setSection: () => core.setSection(w, section, { keep: pick(2) === 1, title: 'x'.repeat(pick(200)) }),
    addBlock: () => core.addBlock(w, section, one(core.forms)!),
    removeBlock: () => core.removeBlock(w, block?.id ?? 'b0'),
    moveBlock: () => core.moveBlock(w, block?.id ?? 'b0', by),
    duplicateBlock: () => core.duplicateBlock(w, block?.id ?? 'b0'),
    setBlockWords: () =>
      core.setBlockWords(w, block?.id ?? 'b0', { note: 'a\nb', link: pick(2) ? 'http://x' : 'https://x.example' }),
    setBlock: () =>
      core.setBlock(w, (one(clocked) ?? block)?.id ?? 'b0', 'intervals', (b) => ({
        ...b,
        laps: mapGroups(b.laps, scope, () => [{ work: pick(5000), rest: pick(50) }]),
      })),
    addStation: () => core.addStation(w, withRows?.id ?? 'b0', cellsFor(move, w.groups, 'list')),
    removeStation: () => core.removeStation(w, station),
    moveStation: () => core.moveStation(w, station, by),
    duplicateStation: () => core.duplicateStation(w, station),
    setCell: () => core.setCell(w, station, scope, () => cell),
    setStation: () => core.setStation(w, station, { storyName: 'Gull', pinned: true, record: 'reps' }),
    addGroup: () => core.addGroup(w, [pick(8)], library),
    removeGroup: () => core.removeGroup(w, group),
    setGroup: () => core.setGroup(w, group, { grades: [pick(7)] }),
    setDetails: () => core.setDetails(w, { minutes: pick(150), aim: { target: 'We are learning to…' } }),
  }
}
