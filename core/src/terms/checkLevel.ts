import { z } from 'zod'
import { lineSchema } from '../base/text.ts'

/** How much a finding weighs: not to be sent home so, worth a look, worth knowing. */
export const levels = ['stop', 'look', 'note'] as const
export type Level = (typeof levels)[number]

/** What a school makes of a rule: another level, or nothing at all. A rule that is left out is as it comes. */
export const rulePolicySchema = z.enum([...levels, 'off'])
export type RulePolicy = z.infer<typeof rulePolicySchema>

/** By the rule's id. Ids of rules that are no more are kept and mean nothing. */
export const rulePoliciesSchema = z.record(lineSchema.min(1).max(40), rulePolicySchema)
export type RulePolicies = z.infer<typeof rulePoliciesSchema>
