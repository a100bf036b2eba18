import { useSessionStorage } from '@vueuse/core'
import { shallowRef, type ShallowRef } from 'vue'
import { libraryFor, type Session } from '@esfuerzo/core'
import { print } from '@esfuerzo/core/notation'
import { library } from '../../repertoire/library.ts'
import { useSession } from '../session/useSession.ts'
import { mergeText, type Clash } from './mergeText.ts'

/** A text beside the session it belongs to. */
export interface MergedText {
  text: ShallowRef<string>
  /** Rows that were changed here and in the running order: these stand, those are told. */
  clashes: ShallowRef<readonly Clash[]>
  /** Whether it has what the session does not have yet. */
  isHeld: () => boolean
  /** Keeps it on the device until the session has it. */
  hold: (on: boolean) => void
  /** The session has all of it now. */
  isTaken: () => void
  /** The session was changed elsewhere: both changes stand. */
  follow: () => void
  /** Says what the session says, and nothing else. */
  print: () => void
  /** Ends a clash. @param theirs whether the running order's row is taken */
  settle: (clash: Clash, theirs: boolean) => void
}

/** What is typed and not yet the session's, with the session's text it began with. */
const heldText = (session: string) =>
  useSessionStorage<{ text: string; base: string } | null>(`esfuerzo.text.${session}`, null, {
    serializer: { read: (text) => JSON.parse(text) as { text: string; base: string }, write: JSON.stringify },
  })

/** The session's text with what is typed in it: it outlives another tab, another page, a reload. */
export function useMergedText(): MergedText {
  const session = useSession()
  const printed = (session: Session) => print(session, libraryFor(session, library))
  const held = heldText(session.id)
  let base = printed(session.document)
  const text = shallowRef(held.value ? mergeText(held.value.text, held.value.base, base).text : base)
  const clashes = shallowRef<readonly Clash[]>([])
  return {
    text,
    clashes,
    isHeld: () => held.value !== null,
    hold: (on) => (held.value = on ? { text: text.value, base } : null),
    isTaken: () => (base = printed(session.document)),
    follow() {
      const theirs = printed(session.document)
      // Text that the session has accepted is written in our own form.
      if (!held.value) return void (text.value = base = theirs)
      const merged = mergeText(text.value, base, theirs)
      text.value = merged.text
      if (merged.clashes.length) clashes.value = merged.clashes
      base = theirs
    },
    print: () => (text.value = base = printed(session.document)),
    settle(clash, theirs) {
      clashes.value = clashes.value.filter((c) => c !== clash)
      if (theirs) text.value = text.value.replace(clash.mine, () => clash.theirs)
    },
  }
}
