import { useDebounceFn } from '@vueuse/core'
import { computed, onBeforeUnmount, shallowRef, watch, type ComputedRef, type Ref, type ShallowRef } from 'vue'
import { sameValue, type Session } from '@esfuerzo/core'
import type { Answer, Question } from '@esfuerzo/core/notation'
import { longest } from '../../reading/longest.ts'
import { useAnswers } from '../../reading/useAnswers.ts'
import { useEdits } from '../edits/useEdits.ts'
import { useSession } from '../session/useSession.ts'
import { useAppliedText } from './useAppliedText.ts'
import { useMergedText, type MergedText } from './useMergedText.ts'

/** Milliseconds after the last letter until the session takes what was typed. */
const settles = 120
/** Milliseconds after which an unclear line counts as finished. */
const patience = 2500

export interface SessionText extends Pick<MergedText, 'clashes' | 'settle'> {
  text: Ref<string>
  /** Open questions, except those of the line being typed. */
  asks: ComputedRef<readonly Question[]>
  /** The line of each part of the session, by its id. */
  lines: ShallowRef<ReadonlyMap<string, number>>
  refused: ShallowRef<string>
  /** An unclear line is being typed: the session waits until it is left. */
  waiting: ShallowRef<boolean>
  /** Where the caret is, and whether anybody is typing. */
  onCaret: (line: number, focused: boolean) => void
  answer: (question: Question, answer: Answer) => Promise<void>
  /** Seconds the session would last with an answer. */
  lasting: (question: Question, answer: Answer) => number
  /** Discards what the session does not accept. */
  fromSession: () => void
}

/**
 * The session as a text, live in both directions: typing changes the running order, and its changes appear here. A line being typed is read
 * once the caret leaves it; unclear text becomes a question. Typed text survives another tab, another page, a reload.
 */
export function useSessionText(): SessionText {
  const session = useSession()
  const edits = useEdits()
  const answers = useAnswers()
  const merged = useMergedText()
  const { questions, lines, refused, applied, put } = useAppliedText(merged.text, answers.told)
  const waiting = shallowRef(false)
  const caret = shallowRef({ line: 1, focused: false })
  let leaving: ReturnType<typeof setTimeout> | undefined
  /** Typed, and not applied to the session yet. */
  let typed = false
  /** The session as last changed by the text; any other change came from elsewhere. */
  let made: Session = session.document

  const isCarets = ({ line }: Question) => caret.value.focused && line === caret.value.line

  /** Applies the text to the session. @param typing the caret's line is not finished */
  function take(typing: boolean): void {
    typed = false
    clearTimeout(leaving)
    const said = put()
    waiting.value = typing && said !== undefined && questions.value.some(isCarets)
    // A half-written name is no exercise; a pause ends it too.
    if (waiting.value) leaving = setTimeout(() => take(false), patience)
    else if (said) {
      // The watcher below must not mistake it for another change.
      made = said
      if (!sameValue(said, session.document)) edits.edit(() => said, 'text')
      made = session.document
      merged.isTaken()
    }
    merged.hold(waiting.value || refused.value !== '')
  }
  const takeSoon = useDebounceFn(() => typed && take(true), settles)
  if (merged.isHeld()) take(false)
  else put()

  watch(
    () => session.document,
    (session) => {
      if (session === made) return
      // Changes made elsewhere are written here, beside what is being typed.
      made = session
      merged.follow()
      merged.hold(merged.isHeld())
      if (!merged.isHeld()) put()
    },
  )
  watch(answers.told, () => take(false), { flush: 'sync' })
  onBeforeUnmount(() => {
    if (typed || waiting.value) take(false)
    clearTimeout(leaving)
  })

  return {
    text: computed({
      get: () => merged.text.value,
      set: (text) => {
        merged.text.value = text
        typed = true
        // Stored from the first letter; read in the pause after it.
        merged.hold(true)
        void takeSoon()
      },
    }),
    asks: computed(() => (waiting.value ? questions.value.filter((q) => !isCarets(q)) : questions.value)),
    lines,
    refused,
    waiting,
    onCaret(line, focused) {
      caret.value = { line, focused }
      if (waiting.value && !typed && !questions.value.some(isCarets)) take(false)
    },
    async answer(question, answer) {
      await answers.answer(question, answer)
      // From now on the text is in our own form and asks nothing more.
      merged.print()
      answers.forgetChoices()
    },
    lasting: (question, answer) => longest(applied(answers.withAnswer(question, answer)).workout),
    clashes: merged.clashes,
    settle(clash, theirs) {
      merged.settle(clash, theirs)
      take(false)
    },
    fromSession() {
      merged.print()
      take(false)
    },
  }
}
