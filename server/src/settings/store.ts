import type { Knex } from 'knex'
import { newSettings, readDocument, settingsDocument, writtenText, type Settings } from '@esfuerzo/core'

interface Row {
  id: string
  zone: string
  settings: unknown
}

/** A teacher's settings; those nobody has changed begin with the zone she signed up in. */
export async function readSettings(db: Knex, teacherId: string): Promise<Settings> {
  const row = await db<Row>('teachers').where({ id: teacherId }).first('zone', 'settings')
  return row?.settings ? readDocument(settingsDocument, row.settings) : newSettings(row?.zone ?? 'UTC')
}

/** Puts a teacher’s settings in place of those before. */
export async function saveSettings(db: Knex, teacherId: string, settings: Settings): Promise<void> {
  await db<Row>('teachers')
    .where({ id: teacherId })
    .update({ settings: writtenText(settingsDocument, settings), zone: settings.zone })
}
