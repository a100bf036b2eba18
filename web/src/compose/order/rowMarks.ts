import { mdiEyeOffOutline, mdiHomeAlertOutline, mdiLockOutline } from '@mdi/js'
import { isKept, obstacles, valueFor, type Library, type Session } from '@esfuerzo/core'
import type { Finding } from '@esfuerzo/core/checks'
import { gravest, levelIcons } from '../checks/levelIcons.ts'
import type { Words } from '../../shared/words.ts'
import type { Row } from './rows.ts'

/** A small symbol next to a row's name, with its meaning in words. */
export interface RowMark {
  icon: string
  text: string
  /** A finding, shown by its shape alone. */
  said?: boolean
}

/**
 * The marks of a row: a kept section or a surprise, an exercise that some group cannot do in this home, findings.
 *
 * @param found the findings at this row
 */
export function rowMarks(
  row: Row,
  { groups, home }: Session,
  library: Library,
  t: Words,
  found: readonly Finding[] = [],
  textOf: (finding: Finding) => string = () => '',
): RowMark[] {
  const said = found.length ? [{ icon: levelIcons[gravest(found)], text: found.map(textOf).join(' '), said: true }] : []
  return [...ownMarks(row, { groups, home }, library, t), ...said]
}

/** Marks that a row has at once, without checking the whole session. */
function ownMarks(row: Row, { groups, home }: Pick<Session, 'groups' | 'home'>, library: Library, t: Words): RowMark[] {
  if (row.kind === 'section')
    return [
      ...(isKept(row.section) ? [{ icon: mdiLockOutline, text: t('section.kept') }] : []),
      ...(row.section.surprise ? [{ icon: mdiEyeOffOutline, text: t('section.surprise') }] : []),
    ]
  if (row.kind !== 'station') return []
  const stuck = groups.filter((group) => {
    const cell = valueFor(row.station.cells, group.id)
    const move = library.moves.get(cell.move)
    const version = move?.versions.find((v) => v.id === cell.version)
    return move && version && obstacles(move, version, home, library).length > 0
  })
  return stuck.length
    ? [{ icon: mdiHomeAlertOutline, text: t('home.stuck', { groups: stuck.map((g) => g.letter).join(', ') }) }]
    : []
}
