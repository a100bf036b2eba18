import type { Router } from 'express'
import type { Knex } from 'knex'
import { implement } from '../http/implement.ts'
import { ServerError } from '../http/serverError.ts'
import { readSettings, saveSettings } from './store.ts'

/** Whether a zone is one the clock knows. Core has no clock, so it is asked here. */
function isZone(zone: string): boolean {
  try {
    new Intl.DateTimeFormat('en', { timeZone: zone })
    return true
  } catch {
    return false
  }
}

/** A teacher's school: grade names, days and weeks, policies. */
export function settingsRoutes(router: Router, db: Knex): void {
  implement(router, 'readSettings', ({ teacherId }) => readSettings(db, teacherId))

  implement(router, 'saveSettings', async ({ teacherId, body }) => {
    if (!isZone(body.zone)) {
      throw new ServerError('invalid', [
        { code: 'not-a-choice', path: ['zone'], expected: { rule: 'timeZone' }, received: body.zone },
      ])
    }
    await saveSettings(db, teacherId, body)
    return body
  })
}
