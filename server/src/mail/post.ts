import type { Letter } from './letters.ts'

/** The recipient's server permanently refuses messages for an address. */
export class RecipientRefused extends Error {
  constructor(cause: unknown) {
    super('the recipient was refused', { cause })
    this.name = 'RecipientRefused'
  }
}

/** How messages leave the house. */
export interface Post {
  /** @throws {RecipientRefused} if the address doesn't exist; {Error} if it could not be sent */
  send: (letter: Letter) => Promise<void>
  /** Whether messages can be sent at the moment. */
  ready: () => Promise<boolean>
  /** Deletes pending messages that name an address. */
  forget: (address: string) => Promise<void>
}

/** Without mail settings nobody is told that a message is on its way. */
export const noPost: Post = {
  send: () => Promise.reject(new Error('noPost: no mail is configured')),
  ready: async () => false,
  forget: async () => {},
}
