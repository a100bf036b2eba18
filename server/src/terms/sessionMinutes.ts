import type { Knex } from 'knex'
import { LRUCache } from 'lru-cache'
import type { Session } from '@esfuerzo/core'
import { ServerError } from '../http/serverError.ts'
import { owned } from '../rights/rights.ts'
import type { JobPool } from '../workers/jobPool.ts'

/** Number of sessions read and timed at a time (ours). */
const atOnce = 8

/** The current session. */
export interface AtRevision {
  id: string
  revision: number
}

/** How many minutes sessions take, worked out once for each of their states: calendars ask again and again. */
export interface SessionMinutes {
  /**
   * @param grades of the class they are for; anybody by default
   * @returns by id; without those that cannot be computed now
   */
  of: (teacherId: string, sessions: readonly AtRevision[], grades?: number[]) => Promise<Map<string, number>>
}

export function openSessionMinutes(db: Knex, pool: JobPool): SessionMinutes {
  const known = new LRUCache<string, number>({ max: 20_000 })
  return {
    async of(teacherId, sessions, grades) {
      const keyOf = ({ id, revision }: AtRevision) => `${id} ${revision} ${grades?.join(',') ?? ''}`
      const missing = sessions.filter((session) => !known.has(keyOf(session)))
      for (let from = 0; from < missing.length; from += atOnce) {
        const ids = missing.slice(from, from + atOnce).map(({ id }) => id)
        const rows: (AtRevision & { document: Session })[] = await owned(db, teacherId, 'workouts')
          .whereIn('id', ids)
          .select('id', 'revision', 'document')
        try {
          const asked = { documents: rows.map((row) => row.document), ...(grades && { grades }) }
          const minutes = await pool.run('minutes', asked, teacherId)
          rows.forEach((row, i) => minutes[i] !== undefined && known.set(keyOf(row), minutes[i]))
        } catch (error) {
          // A calendar shows what it can; it asks again by itself.
          if (!(error instanceof ServerError)) throw error
          break
        }
      }
      return new Map(
        sessions.flatMap((session) => {
          const minutes = known.get(keyOf(session))
          return minutes === undefined ? [] : [[session.id, minutes]]
        }),
      )
    },
  }
}
