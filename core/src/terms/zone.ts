import { z } from 'zod'
import { rule } from '../base/problem.ts'

/** IANA names only: letters, digits, `_`, `+`, `-` and `/`. Whether the zone exists is checked where a clock is available. */
export const zoneSchema = z
  .string()
  .min(1)
  .max(64)
  .regex(/^[A-Za-z0-9_+\-/]+$/, rule('timeZone'))
