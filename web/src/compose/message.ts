/** A line for the teacher, and what can be done about it. `text` is a key of the words or a sentence. */
export interface Message {
  text: string
  params?: Record<string, unknown>
  undo?: boolean
}
