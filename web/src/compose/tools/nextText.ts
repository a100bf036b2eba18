import { findBlock, type Session } from '@esfuerzo/core'
import { type LaneNext, type NextChange } from '@esfuerzo/core/nextTime'
import type { Words } from '../../shared/words.ts'
import { secondsText } from './fitText.ts'

/** Levers in seconds. */
const timed = ['hold', 'work', 'rest', 'minute', 'calls']

/**
 * A change for next time in words.
 *
 * @example nextText(change, session, t) // 'Ten stations, twice: work 25 s → 30 s'
 */
export function nextText({ block: id, lever, facts }: NextChange, session: Session, t: Words): string {
  const block = findBlock(session, id)
  const section = session.sections.find((s) => s.blocks.includes(block))!
  const where = block.title || section.title || t(`role.${section.role}`)
  const amount = (n: number | string) => (timed.includes(lever) ? secondsText(Number(n), t) : String(n))
  const { move } = facts
  const whose = lever !== 'version' && move ? ` (${move})` : ''
  return `${where}: ${t(`next.lever.${lever}`, { from: amount(facts.from), to: amount(facts.to), move: move ?? '' })}${whose}`
}

/** Why a lane goes one step up, one step down, or stays. */
export function reasonText({ signal, runs, why }: LaneNext, t: Words): string {
  if (why) return t(`next.why.${why}`)
  if (signal === 'unknown') return t(runs ? 'next.why.unknown' : 'next.why.none', { n: runs })
  return t(`next.why.${signal}`, { n: runs })
}
