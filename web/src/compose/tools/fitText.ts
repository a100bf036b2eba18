import {
  findBlock,
  findStation,
  minutesText,
  moveNames,
  type Library,
  type Session,
  traitsOf,
  type Form,
} from '@esfuerzo/core'
import { type FitChange, type LeverKind } from '@esfuerzo/core/tools'
import type { Words } from '../../shared/words.ts'

/** A change in words. */
export interface FitText {
  /** Where: the block's title or its section's. */
  where: string
  what: string
  /** The letters of the groups; empty for all. */
  letters: string[]
}

/** Levers whose value is a count; all others are times. */
const counted: readonly LeverKind[] = ['laps', 'draws']

/**
 * A proposed change, in words.
 *
 * @example { where: 'Springs', what: 'rest 30 s → 25 s' }
 */
export function fitText(change: FitChange, session: Session, library: Pick<Library, 'moves'>, t: Words): FitText {
  const block = findBlock(session, change.block)
  const section = session.sections.find((s) => s.blocks.includes(block))!
  const where = block.title || section.title || t(`role.${section.role}`)
  // A value for all leaves out groups that get their own.
  const whom = session.groups.filter((g) => g.id === change.scope || (change.scope === 'all' && g.id in change.from))
  const letters = whom.length === session.groups.length ? [] : whom.map((g) => g.letter)
  return { where, what: whatText(change, block.form, session, library, t), letters }
}

function whatText(change: FitChange, form: Form, session: Session, library: Pick<Library, 'moves'>, t: Words): string {
  const { lever, station } = change
  if (lever === 'stay') return t('fit.stay')
  if (lever === 'out') {
    const { move, version } = findStation(session, station!).cells.all
    return t('fit.out', { name: moveNames(library.moves)(move, version) })
  }
  const amount = (n: number) => (counted.includes(lever) ? `${n}` : secondsText(n, t))
  const steps = session.groups.flatMap((g) =>
    g.id in change.from
      ? [{ letter: g.letter, text: `${amount(change.from[g.id]!)} → ${amount(change.to[g.id]!)}` }]
      : [],
  )
  const same = steps.every((s) => s.text === steps[0]!.text)
  const by = new Set(Object.keys(change.from).map((g) => change.to[g]! - change.from[g]!))
  const text = same
    ? (steps[0]?.text ?? '')
    : by.size === 1
      ? t(`fit.${[...by][0]! < 0 ? 'lessEach' : 'moreEach'}`, { by: amount(Math.abs([...by][0]!)) })
      : steps.map((s) => `${s.letter} ${s.text}`).join(', ')
  return `${t(`fit.lever.${lever === 'laps' ? `laps_${traitsOf({ form }).lapWord}` : lever}`)} ${text}`
}

/** A duration in a line of text, with its unit never on the next line. @example '45 s', '1:20' */
export const secondsText = (seconds: number, t: Words): string =>
  seconds < 60 ? t('unit.short.seconds', { n: seconds }).replace(' ', '\u00a0') : minutesText(seconds)
