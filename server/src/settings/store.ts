import type { Knex } from 'knex'
import {
  newSettings,
  ProblemError,
  readDocument,
  settingsDocument,
  settingsSchema,
  withSettingsChange,
  writtenText,
  zodProblems,
  type Settings,
  type SettingsChange,
} from '@esfuerzo/core'
import { oneAtATime } from '../rights/oneAtATime.ts'
import { owned } from '../rights/rights.ts'

interface Row {
  id: string
  zone: string
  settings: unknown
  unknown_zone: string | null
}

/** A teacher's settings; by default with the time zone of her sign-up. */
export async function readSettings(db: Knex, teacherId: string): Promise<Settings> {
  const row = await owned<Row>(db, teacherId, 'teachers').first('zone', 'settings')
  return row?.settings ? readDocument(settingsDocument, row.settings) : newSettings(row?.zone ?? 'UTC')
}

/** Replaces a teacher's settings. */
export async function saveSettings(db: Knex, teacherId: string, settings: Settings): Promise<void> {
  await owned<Row>(db, teacherId, 'teachers').update({
    settings: writtenText(settingsDocument, settings),
    zone: settings.zone,
    unknown_zone: null,
  })
}

/**
 * Changes some of a teacher's settings; the rest stays as last saved.
 *
 * @returns all settings afterwards
 * @throws {ProblemError} if they would exceed the limits of settings; then nothing changes
 */
export const changeSettings = (db: Knex, teacherId: string, change: SettingsChange): Promise<Settings> =>
  db.transaction(async (trx) => {
    await oneAtATime(trx, teacherId)
    const next = withSettingsChange(await readSettings(trx, teacherId), change)
    const checked = settingsSchema.safeParse(next)
    if (!checked.success) throw new ProblemError(zodProblems(checked.error, next))
    await saveSettings(trx, teacherId, checked.data)
    return checked.data
  })
