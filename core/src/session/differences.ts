import { sameValue } from '../base/sameValue.ts'
import { stationsOf, type Block } from './forms.ts'
import { valueFor } from '../terms/perGroup.ts'
import type { Section, Session } from './schema.ts'
import type { Station } from './station.ts'

/** One difference between a session and an earlier revision of it. */
export interface Difference {
  kind: 'added' | 'removed' | 'moved' | 'changed'
  what: 'details' | 'group' | 'section' | 'block' | 'station'
  /** Id of the part; empty for details. */
  id: string
  /** For `changed`: the fields, or for a station's cells the ids of the groups that now do something else. */
  fields: string[]
}

interface Placed<T> {
  part: T
  parent: string
}

const fieldsThatDiffer = (a: object, b: object, without: readonly string[]): string[] =>
  [...new Set([...Object.keys(a), ...Object.keys(b)])].filter(
    (key) => !without.includes(key) && !sameValue((a as never)[key], (b as never)[key]),
  )

/** Ids that keep their order: a longest common increasing sequence of both lists. The others were moved. */
function steady(before: readonly string[], after: readonly string[]): Set<string> {
  const at = new Map(before.map((id, i) => [id, i]))
  const common = after.filter((id) => at.has(id))
  const best: { length: number; from: number }[] = []
  let end = -1
  common.forEach((id, i) => {
    best[i] = { length: 1, from: -1 }
    for (let j = 0; j < i; j++) {
      if (at.get(common[j]!)! < at.get(id)! && best[j]!.length >= best[i]!.length)
        best[i] = { length: best[j]!.length + 1, from: j }
    }
    if (end < 0 || best[i]!.length > best[end]!.length) end = i
  })
  const kept = new Set<string>()
  for (let i = end; i >= 0; i = best[i]!.from) kept.add(common[i]!)
  return kept
}

function compare<T extends { id: string }>(
  what: Difference['what'],
  before: readonly Placed<T>[],
  after: readonly Placed<T>[],
  changed: (a: T, b: T) => string[],
): Difference[] {
  const old = new Map(before.map((p) => [p.part.id, p]))
  const now = new Set(after.map((p) => p.part.id))
  const ids = (list: readonly Placed<T>[], parent: string) =>
    list.filter((p) => p.parent === parent && old.get(p.part.id)?.parent === parent).map((p) => p.part.id)
  const parents = new Set(after.map((p) => p.parent))
  const inPlace = new Set(
    [...parents].flatMap((parent) => [
      ...steady(
        ids(before, parent).filter((id) => now.has(id)),
        ids(after, parent),
      ),
    ]),
  )
  const removed = before
    .filter((p) => !now.has(p.part.id))
    .map(({ part }): Difference => ({ kind: 'removed', what, id: part.id, fields: [] }))
  return [
    ...removed,
    ...after.flatMap(({ part }): Difference[] => {
      const was = old.get(part.id)
      if (!was) return [{ kind: 'added', what, id: part.id, fields: [] }]
      const fields = changed(was.part, part)
      return [
        ...(inPlace.has(part.id) ? [] : [{ kind: 'moved' as const, what, id: part.id, fields: [] }]),
        ...(fields.length ? [{ kind: 'changed' as const, what, id: part.id, fields }] : []),
      ]
    }),
  ]
}

const sectionsOf = (w: Session): Placed<Section>[] => w.sections.map((part) => ({ part, parent: '' }))
const blocksOf = (w: Session): Placed<Block>[] =>
  w.sections.flatMap((s) => s.blocks.map((part) => ({ part, parent: s.id })))
const placedStations = (w: Session): Placed<Station>[] =>
  w.sections.flatMap((s) => s.blocks.flatMap((b) => stationsOf(b).map((part) => ({ part, parent: b.id }))))

/**
 * What changed between two revisions of a session, part by part, matched by id: details, groups, sections, blocks, stations, each in
 * running order.
 *
 * @example differences(w, removeStation(w, 's4')) // [{ kind: 'removed', what: 'station', id: 's4', fields: [] }]
 */
export function differences(before: Session, after: Session): Difference[] {
  const details = fieldsThatDiffer(before, after, ['sections', 'groups'])
  const groupIds = after.groups.map((g) => g.id).filter((id) => before.groups.some((g) => g.id === id))
  const cellsThatDiffer = (a: Station, b: Station) =>
    groupIds.filter((id) => !sameValue(valueFor(a.cells, id), valueFor(b.cells, id)))
  const groups = (w: Session) => w.groups.map((part) => ({ part, parent: '' }))
  return [
    ...(details.length ? [{ kind: 'changed' as const, what: 'details' as const, id: '', fields: details }] : []),
    ...compare('group', groups(before), groups(after), (a, b) => fieldsThatDiffer(a, b, [])),
    ...compare('section', sectionsOf(before), sectionsOf(after), (a, b) => fieldsThatDiffer(a, b, ['blocks'])),
    ...compare('block', blocksOf(before), blocksOf(after), (a, b) => fieldsThatDiffer(a, b, ['stations'])),
    ...compare('station', placedStations(before), placedStations(after), (a, b) => [
      ...cellsThatDiffer(a, b),
      ...fieldsThatDiffer(a, b, ['cells']),
    ]),
  ]
}
