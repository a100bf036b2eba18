import { newSession } from '@esfuerzo/core'
import { library } from '../repertoire/library.ts'

/** The groups of a text that names none. */
export const { groups: begunGroups } = newSession(
  'x',
  [
    [0, 1],
    [2, 3],
    [4, 5, 6],
  ],
  20,
  library.version,
)
