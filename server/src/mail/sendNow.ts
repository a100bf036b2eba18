import { ServerError } from '../http/serverError.ts'
import type { Letter } from './letters.ts'
import { RecipientRefused, type Post } from './post.ts'

/**
 * Sends a message that somebody waits for.
 *
 * @throws {ServerError} `recipient-refused` where there is no such address, `mail-away` where it could not be handed over
 */
export async function sendNow(post: Post, letter: Letter): Promise<void> {
  if (!(await post.ready())) throw new ServerError('mail-away')
  try {
    await post.send(letter)
  } catch (error) {
    throw new ServerError(error instanceof RecipientRefused ? 'recipient-refused' : 'mail-away', [], error)
  }
}
