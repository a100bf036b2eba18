import { z } from 'zod'
import { rule } from '../base/problem.ts'
import { zoneSchema } from './zone.ts'
import type { DocumentKind } from '../documents/document.ts'
import { rulePoliciesSchema } from './checkLevel.ts'
import { countries } from './country.ts'
import { defaultGradeNames } from './group.ts'
import { lineSchema, paragraphSchema } from '../base/text.ts'

/** How long a stretch is held: seconds, slow breaths, or the usual for its grade. Published range 10–30 s. */
export const holdPolicies = ['byGrade', '10', '15', '20', '30', 'breaths'] as const
/** Whether a warm-up only moves, or may hold a few gentle stretches once the body is warm. */
export const warmUpStyles = ['moving', 'mixed'] as const

/** Settings of a school or a teacher for questions on which good teachers differ. */
export const policySchema = z.strictObject({
  hold: z.enum(holdPolicies),
  warmUp: z.enum(warmUpStyles),
})
export type Policy = z.infer<typeof policySchema>

export const settingsFormat = 'esfuerzo.settings'

/** A teacher's own words: how many, and how long (ours). */
export const mostReadings = 500
const longestReading = 80

/** A teacher's school: its grade names, days and weeks, and policies. */
export const settingsSchema = z.strictObject({
  format: z.literal(settingsFormat),
  version: z.literal(4),
  school: lineSchema,
  country: z.enum(countries),
  /** The name of each grade, from kindergarten or reception (0) to the top (6). */
  gradeNames: z.array(lineSchema.min(1).max(24)).length(7),
  zone: zoneSchema,
  /** The minute of the day at which school starts: 0 is midnight. */
  dayStart: z.int().min(0).max(1439),
  /** The first day of a week, by ISO 8601: 1 is Monday, 7 is Sunday. */
  weekStart: z.int().min(1).max(7),
  policy: policySchema,
  /** A line of the school's own on every family page. */
  familyNote: paragraphSchema,
  /** What words in her texts mean, by the word in small letters: an exercise (`push-up`, `push-up:knee-push-up`), `own`, `note`. */
  readings: z
    .record(lineSchema.min(1).max(longestReading), lineSchema.min(1).max(100))
    .refine((readings) => Object.keys(readings).length <= mostReadings, {
      error: rule('readings'),
      params: { code: 'too-many' },
    }),
  /** The school's weights for single checks. */
  checks: rulePoliciesSchema,
})
export interface Settings extends z.infer<typeof settingsSchema> {}

/** A teacher's settings as a document. */
export const settingsDocument: DocumentKind<Settings> = {
  format: settingsFormat,
  version: 4,
  schema: settingsSchema,
  migrations: {
    1: (settings) => ({ ...settings, readings: {} }),
    2: (settings) => ({ ...settings, country: 'unsaid' }),
    3: (settings) => ({ ...settings, checks: {} }),
  },
  // Version 3 has no checks, version 2 no country.
  asBefore: ({ checks, country, ...rest }) => {
    if (Object.keys(checks).length) return undefined
    return country === 'unsaid' ? { ...rest, version: 2 } : { ...rest, country, version: 3 }
  },
}

/** The default settings. @param zone of the school */
export const newSettings = (zone: string): Settings => ({
  format: settingsFormat,
  version: 4,
  school: '',
  country: 'unsaid',
  gradeNames: [...defaultGradeNames],
  zone,
  dayStart: 8 * 60,
  weekStart: 1,
  policy: { hold: 'byGrade', warmUp: 'moving' },
  familyNote: '',
  readings: {},
  checks: {},
})
