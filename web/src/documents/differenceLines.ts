import { differences, findBlock, stationsOf, type Difference, type Session } from '@esfuerzo/core'
import type { Words } from '../shared/words.ts'
import { library } from '../repertoire/library.ts'

/** The name of a part of a session, for a sentence about it. */
function partName(session: Session, { what, id }: Difference, t: Words): string {
  if (what === 'group') return session.groups.find((g) => g.id === id)?.name ?? id
  const section = session.sections.find((s) => s.id === id)
  if (section) return section.title || t(`role.${section.role}`)
  const blocks = session.sections.flatMap((s) => s.blocks)
  if (what === 'block' && blocks.some((b) => b.id === id)) {
    const block = findBlock(session, id)
    const home = session.sections.find((s) => s.blocks.includes(block))!
    return block.title ?? `${home.title || t(`role.${home.role}`)}: ${t(`forms.${block.form}.name`)}`
  }
  const station = blocks.flatMap((b) => stationsOf(b)).find((s) => s.id === id)
  return station ? (station.storyName ?? library.moves.get(station.cells.all.move)?.name ?? id) : id
}

/**
 * One difference between two revisions of a session as a line: what, where, for whom.
 *
 * @example 'Changed: Squat jump (A, C)'
 */
function differenceText(difference: Difference, before: Session, after: Session, t: Words): string {
  const { kind, what, fields } = difference
  if (what === 'details')
    return t('difference.details', { fields: fields.map((f) => t(`difference.field.${f}`)).join(', ') })
  const name = partName(kind === 'removed' ? before : after, difference, t)
  const letters = fields.flatMap((f) => after.groups.find((g) => g.id === f)?.letter ?? [])
  const whom = kind === 'changed' && what === 'station' && letters.length ? ` (${letters.join(', ')})` : ''
  return `${t(`difference.${kind}`, { what: t(`difference.what.${what}`), name })}${whom}`
}

/** What differs between two states of a session, a line each. @example differenceLines(before, after, t) // ['Added: Lunge'] */
export const differenceLines = (before: Session, after: Session, t: Words): string[] =>
  differences(before, after).map((difference) => differenceText(difference, before, after, t))
