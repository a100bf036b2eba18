import { ServerError } from '../http/serverError.ts'
import type { Letter } from './letters.ts'
import { RecipientRefused, type Post } from './post.ts'

/**
 * Sends a message while a client waits.
 *
 * @throws {ServerError} `recipient-refused` if the address does not exist, `mail-away` if the message could not be handed over
 */
export async function sendNow(post: Post, letter: Letter): Promise<void> {
  if (!(await post.ready())) throw new ServerError('mail-away')
  try {
    await post.send(letter)
  } catch (error) {
    throw new ServerError(error instanceof RecipientRefused ? 'recipient-refused' : 'mail-away', [], error)
  }
}
