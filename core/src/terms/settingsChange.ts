import { z } from 'zod'
import { sameValue } from '../base/sameValue.ts'
import { settingsFormat, settingsSchema, type Settings } from './settings.ts'
import { rulePolicySchema } from './checkLevel.ts'

const { format: _format, version: _version, readings: _readings, checks: _checks, ...fields } = settingsSchema.shape
const { keyType: word, valueType: meaning } = settingsSchema.shape.readings.def
const { keyType: ruleId } = settingsSchema.shape.checks.def

/**
 * A change to a teacher's settings: missing fields stay, so that two pages do not overwrite each other. Single words and checks are changed
 * by name; null removes one.
 */
export const settingsChangeSchema = z
  .strictObject({
    ...fields,
    readings: z.record(word, meaning.nullable()),
    checks: z.record(ruleId, rulePolicySchema.nullable()),
    // Pages of the previous release send the whole document.
    format: z.literal(settingsFormat),
    version: z.int(),
  })
  .partial()
export interface SettingsChange extends z.infer<typeof settingsChangeSchema> {}

type Named = Readonly<Record<string, string>>

/** Names whose value differs, with null for removed ones. */
function namedChanges(before: Named, after: Named): Record<string, string | null> {
  const names = [...new Set([...Object.keys(before), ...Object.keys(after)])].filter((n) => before[n] !== after[n])
  return Object.fromEntries(names.map((name) => [name, after[name] ?? null]))
}

const withNamed = (before: Named, change: Readonly<Record<string, string | null>> = {}): Record<string, string> =>
  Object.fromEntries(
    Object.entries({ ...before, ...change }).flatMap(([name, value]) => (value === null ? [] : [[name, value]])),
  )

/**
 * The differences between two states of the settings.
 *
 * @example settingsChange(newSettings('UTC'), { ...newSettings('UTC'), school: 'Pier school' }) // { school: 'Pier school' }
 */
export function settingsChange(before: Settings, after: Settings): SettingsChange {
  const plain = (Object.keys(fields) as (keyof typeof fields)[]).filter((key) => !sameValue(before[key], after[key]))
  const readings = namedChanges(before.readings, after.readings)
  const checks = namedChanges(before.checks, after.checks)
  return {
    ...Object.fromEntries(plain.map((key) => [key, after[key]])),
    ...(Object.keys(readings).length && { readings }),
    ...(Object.keys(checks).length && { checks: checks as NonNullable<SettingsChange['checks']> }),
  }
}

/** Settings with a change, not yet validated. */
export function withSettingsChange(settings: Settings, change: SettingsChange): Settings {
  const { format: _, version: __, readings, checks, ...plain } = change
  return {
    ...settings,
    ...Object.fromEntries(Object.entries(plain).filter(([, value]) => value !== undefined)),
    readings: withNamed(settings.readings, readings),
    checks: withNamed(settings.checks, checks) as Settings['checks'],
  }
}
