import { useSessionStorage } from '@vueuse/core'
import { shallowRef, type ShallowRef } from 'vue'
import { libraryFor, type Session } from '@esfuerzo/core'
import { print } from '@esfuerzo/core/notation'
import { library } from '../../repertoire/library.ts'
import { useSession } from '../session/useSession.ts'
import { mergeText, type Clash } from './mergeText.ts'

/** A text next to the session it belongs to. */
export interface MergedText {
  text: ShallowRef<string>
  /** Rows changed both here and in the running order: the typed ones stay, the others are reported. */
  clashes: ShallowRef<readonly Clash[]>
  /** Whether it has changes that the session does not have yet. */
  isHeld: () => boolean
  /** Keeps it on the device until the session has it. */
  hold: (on: boolean) => void
  /** The session now has all of it. */
  isTaken: () => void
  /** The session was changed elsewhere: both changes are kept. */
  follow: () => void
  /** Resets the text to the session's. */
  print: () => void
  /** Resolves a conflict. @param theirs whether to use the running order's row */
  settle: (clash: Clash, theirs: boolean) => void
}

/** Typed text that the session does not have yet, with the session's text it started from. */
const heldText = (session: string) =>
  useSessionStorage<{ text: string; base: string } | null>(`esfuerzo.text.${session}`, null, {
    serializer: { read: (text) => JSON.parse(text) as { text: string; base: string }, write: JSON.stringify },
  })

/** The session's text with unsaved typing: it survives another tab, another page, a reload. */
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
