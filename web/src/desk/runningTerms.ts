import { DateTime } from 'luxon'
import { dayNumber, type Term } from '@esfuerzo/core/term'
import { client } from '../shared/client.ts'

/** A current term with its results. */
export interface RunningTerm {
  id: string
  document: Term
  /** Homes by place. */
  homes: ReadonlyMap<string, number>
  /** Pupils of its class; null without a class. */
  children: number | null
  /** The week it is in, from 0. */
  week: number
}

/** The week of a term that a day is in, from 0; outside the term below 0 or from `weeks` on. */
const weekOf = (starts: string, today: string) => Math.floor((dayNumber(today) - dayNumber(starts)) / 7)

/** Today's terms. None without a connection: the Desk works without them. */
export async function runningTerms(today = DateTime.now().toISODate()): Promise<RunningTerm[]> {
  try {
    const { terms } = await client('listTerms', {})
    const running = terms.filter(({ starts, weeks }) => weekOf(starts, today) >= 0 && weekOf(starts, today) < weeks)
    return await Promise.all(
      running.map(async ({ id }) => {
        const [{ document }, { done, children }] = await Promise.all([
          client('readTerm', { params: { id } }),
          client('readDone', { params: { id } }),
        ])
        const homes = new Map(done.map((d) => [d.place, d.homes]))
        return { id, document, homes, children, week: weekOf(document.starts, today) }
      }),
    )
  } catch {
    return []
  }
}
