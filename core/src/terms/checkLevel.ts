import { z } from 'zod'
import { lineSchema } from '../base/text.ts'

/** The weight of a finding: *fix* (`stop`), *advice* (`look`), *tip* (`note`). */
export const levels = ['stop', 'look', 'note'] as const
export type Level = (typeof levels)[number]

/** The school's weight for a check: another level, or off. Checks left out keep their standard weight. */
export const rulePolicySchema = z.enum([...levels, 'off'])
export type RulePolicy = z.infer<typeof rulePolicySchema>

/** By the check's id. Ids of removed checks are kept and ignored. */
export const rulePoliciesSchema = z.record(lineSchema.min(1).max(40), rulePolicySchema)
export type RulePolicies = z.infer<typeof rulePoliciesSchema>
