import { costs, numberLever, works, type LeversFor } from '../../fit/lever.ts'
import type { LevelsBlock } from './schema.ts'

const levers = [
  numberLever<'levels'>(
    'work',
    costs.work,
    (b) => b.seconds,
    (b, value) => ({ ...b, seconds: value }),
    works,
  ),
]

/** How long each level has. */
export const levelsLevers: LeversFor<LevelsBlock> = () => levers
