import { restLever, type LeversFor } from '../../fit/lever.ts'
import type { ListBlock } from './schema.ts'

const rest = restLever<'list'>('rest', 'restAfter')

/** The rest after each. */
export const listLevers: LeversFor<ListBlock> = () => [rest]
