import type { Letter } from './letters.ts'

/** How messages leave the house. */
export interface Post {
  /** @throws {Error} where it could not be handed over */
  send: (letter: Letter) => Promise<void>
  /** Whether messages can be handed over at the moment. */
  ready: () => Promise<boolean>
  /** Takes away what is still here of messages that name an address. */
  forget: (address: string) => Promise<void>
}

/** Where no mail is configured nobody is told that a message is on its way. */
export const noPost: Post = {
  send: () => Promise.reject(new Error('noPost: no mail is configured')),
  ready: async () => false,
  forget: async () => {},
}
