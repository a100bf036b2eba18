import type { RefusedCell } from '@esfuerzo/contract'
import type { BookEntry, Unlikely, ValueProblem } from '@esfuerzo/core/classBook'

/** A text on screen that the server doesn't have. */
export interface TypedCell {
  id: string
  pupil: string
  column: string
  text: string
  source: 'typed' | 'imported'
  /** The entry that stood there. */
  was: string | null
  /**
   * `waiting` to be sent · `refused` it cannot be written · `asked` it is unlikely, and not sent before it is confirmed · `differs`
   * somebody else changed it meanwhile
   */
  state: 'waiting' | 'refused' | 'asked' | 'differs'
  /** Why the server can never store it this way. */
  why?: Exclude<RefusedCell['why'], 'twice' | 'id-taken'>
  problem?: ValueProblem
  unlikely?: Unlikely
  now?: BookEntry | null
}
