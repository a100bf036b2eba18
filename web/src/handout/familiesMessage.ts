import { saidMinutes } from '@esfuerzo/core'
import type { Publication } from '@esfuerzo/core/publication'
import type { Words } from '../shared/words.ts'

type Lane = Pick<Publication['lanes'][number], 'name' | 'seconds'>

/**
 * The length of a session in a message: once if all lanes take equally long, otherwise per group.
 *
 * @example lengthText([{ name: 'K–1', seconds }, { name: '2–3', seconds: longer }], t) // 'about 12 minutes (K–1), about 15 minutes (2–3)'
 */
export function lengthText(lanes: readonly Lane[], t: Words): string {
  const minutes = [...new Set(lanes.map(({ seconds }) => saidMinutes(seconds)))]
  if (minutes.length === 1) return t('handout.length', { n: minutes[0]! })
  const names = (n: number) => lanes.filter(({ seconds }) => saidMinutes(seconds) === n).map(({ name }) => name)
  return minutes.map((n) => t('handout.lengthOf', { n, name: names(n).join(', ') })).join(', ')
}

/**
 * The message that brings families a session.
 *
 * @param lanes those it is for
 * @param ends the date until which its link works, in words
 */
export const familiesMessage = (
  { title, target }: Pick<Publication, 'title' | 'target'>,
  lanes: readonly Lane[],
  { link, ends }: { link: string; ends: string },
  t: Words,
): { subject: string; text: string } => ({
  subject: t('handout.messageSubject', { title }),
  text: t('handout.messageText', { title, length: lengthText(lanes, t), target: target || title, link, ends }),
})
