import { defineStore } from 'pinia'
import { computed, ref, shallowRef } from 'vue'

/** A message for the teacher, and an action for it. `text` is a key of the words or a sentence. */
export interface Message {
  text: string
  params?: Record<string, unknown>
  undo?: boolean
}

/** The composer's messages. */
export const useMessages = defineStore('messages', () => {
  const message = shallowRef<Message>()
  const said = ref('')
  return {
    message: computed(() => message.value),
    /** What a screen reader announces about a change that is only visible. */
    said: computed(() => said.value),
    say: (next: Message): void => void (message.value = next),
    clear: (): void => void (message.value = undefined),
    tell: (words: string): void => void (said.value = words),
  }
})
