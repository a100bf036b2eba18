import type { Knex } from 'knex'
import type { Problem } from '@esfuerzo/core'
import { readTeacher } from '../accounts/store.ts'
import { noteEvent } from '../events/store.ts'
import type { Counter } from '../http/limits.ts'
import { ServerError } from '../http/serverError.ts'
import { addressIn } from '../mail/addressIn.ts'
import { letters } from '../mail/letters.ts'
import { sendNow } from '../mail/sendNow.ts'
import type { Post } from '../mail/post.ts'

/** No advertising leaves in our name: a message to families leads only to their session. */
function foreignAddresses({ subject, text }: { subject: string; text: string }, links: readonly string[]): Problem[] {
  const expected = { rule: 'noOtherAddress' } as const
  const foreign = (words: string) => addressIn(links.reduce((rest, link) => rest.replaceAll(link, ' '), words))
  return Object.entries({ subject, text }).flatMap(([field, words]): Problem[] => {
    const received = foreign(words)
    return received ? [{ code: 'bad-format', path: [field], expected, received: received.slice(0, 60) }] : []
  })
}

/** A teacher's message to families. */
export interface FamilyMessage {
  to: string
  subject: string
  text: string
}

/**
 * Sends a teacher's message to the families of her class.
 *
 * @param links the addresses it may contain
 * @throws {ServerError} `invalid` with every other address, `too-many-tries`, `mail-away`
 */
export async function writeFamilies(
  { db, post, written }: { db: Knex; post: Post; /** Of messages that teachers write. */ written: Counter },
  teacherId: string,
  { to, subject, text }: FamilyMessage,
  links: readonly string[],
): Promise<void> {
  const problems = foreignAddresses({ subject, text }, links)
  if (problems.length) throw new ServerError('invalid', problems)
  await written.count(teacherId)
  const teacher = await readTeacher(db, teacherId)
  if (!teacher) throw new ServerError('sign-in-needed')
  await sendNow(post, letters.families(to, teacher, subject, text))
  await noteEvent(db, teacherId, 'families-written')
}
