import { capLever, type LeversFor } from '../../fit/lever.ts'
import type { AmrapBlock } from './schema.ts'

const levers = [capLever<'amrap'>()]

/** How long it lasts. */
export const amrapLevers: LeversFor<AmrapBlock> = () => levers
