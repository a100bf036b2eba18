import type { Policy, Session } from '@esfuerzo/core'
import type { useCursor } from '../cursor/useCursor.ts'
import type { useSession } from '../session/useSession.ts'
import type { useMessages } from '../useMessages.ts'

/** What a group of edits works with. */
export interface Hand {
  session: ReturnType<typeof useSession>
  cursor: ReturnType<typeof useCursor>
  messages: ReturnType<typeof useMessages>
  /** How long the school holds its stretches. */
  hold: () => Policy['hold'] | undefined
  edit: (change: (now: Session) => Session) => boolean
  /** Runs an edit that may be refused, and says why it was. */
  attempt: (work: () => void) => boolean
  /** The block that a new exercise goes into. */
  targetBlock: () => { block: string; after?: string } | undefined
}
