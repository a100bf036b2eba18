import type { Router } from 'express'
import type { Knex } from 'knex'
import { implement } from '../http/implement.ts'
import { mustBeZone } from '../zones/zones.ts'
import { changeSettings, readSettings } from './store.ts'

/** A teacher's school: grade names, days and weeks, policies. */
export function settingsRoutes(router: Router, db: Knex): void {
  implement(router, 'readSettings', ({ teacherId }) => readSettings(db, teacherId))

  implement(router, 'saveSettings', async ({ teacherId, body }) => {
    if (body.zone !== undefined) await mustBeZone(db, body.zone)
    return changeSettings(db, teacherId, body)
  })
}
