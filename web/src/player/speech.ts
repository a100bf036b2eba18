import { type Language } from '@esfuerzo/core'

/** A device's voice, if it has one. Bells and screen say everything too. */
export interface Speech {
  /** Says a text now, replacing what is being said. */
  say: (text: string, language: Language) => void
  hush: () => void
  /** Whether it has spoken on this device. */
  speaks: () => boolean
}

/** A device that has not started to speak after this many milliseconds never will. */
const silentAfter = 3000

/**
 * @param synth the device's speech synthesis, if any
 * @param setTimer like `setTimeout`
 */
export function createSpeech(synth: SpeechSynthesis | undefined, setTimer: typeof setTimeout = setTimeout): Speech {
  let dumb = synth === undefined
  let heard = false
  return {
    say(text, language) {
      if (dumb || !synth || !text) return
      const voice = synth.getVoices().find((v) => v.lang.toLowerCase().startsWith(language))
      // A voice of another language would be hard to understand.
      if (!voice) return
      synth.cancel()
      const utterance = new SpeechSynthesisUtterance(text)
      utterance.voice = voice
      utterance.lang = voice.lang
      const timer = setTimer(() => {
        dumb = true
        synth.cancel()
      }, silentAfter)
      utterance.onstart = utterance.onend = () => {
        heard = true
        clearTimeout(timer)
      }
      utterance.onerror = () => clearTimeout(timer)
      synth.speak(utterance)
    },
    hush: () => synth?.cancel(),
    speaks: () => heard,
  }
}

export const speech = createSpeech(globalThis.speechSynthesis)
