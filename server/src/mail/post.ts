import type { Letter } from './letters.ts'

/** The other side takes no messages for an address, and will not later either. */
export class RecipientRefused extends Error {
  constructor(cause: unknown) {
    super('the recipient was refused', { cause })
    this.name = 'RecipientRefused'
  }
}

/** How messages leave the house. */
export interface Post {
  /** @throws {RecipientRefused} where there is no such address; {Error} where it could not be handed over */
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
