import { mkdir, readdir, readFile, writeFile } from 'node:fs/promises'
import { join } from 'node:path'
import { createTransport } from 'nodemailer'
import PostalMime from 'postal-mime'
import { v7 as uuid } from 'uuid'
import type { Message } from '@esfuerzo/contract'

/** A message to be sent. */
export interface Letter {
  to: string
  subject: string
  text: string
}

/** Where messages go: a folder of real .eml files, in place of a post office. */
export interface Outbox {
  send: (letter: Letter) => Promise<void>
  /** The newest first, a hundred at most. */
  list: () => Promise<Message[]>
  /** One message's file as it lies there; undefined where it is not. */
  read: (file: string) => Promise<Buffer | undefined>
}

const sender = 'Esfuerzo <no-reply@esfuerzo.invalid>'
const listed = 100

/** @param folder made when the first message is sent */
export function openOutbox(folder: string): Outbox {
  const writer = createTransport({ streamTransport: true, buffer: true, newline: 'windows' })
  return {
    async send(letter) {
      const { message } = await writer.sendMail({ from: sender, ...letter })
      await mkdir(folder, { recursive: true, mode: 0o700 })
      // Version 7 ids sort by time, so the folder's own order is that of sending.
      await writeFile(join(folder, `${uuid()}.eml`), message as Buffer, { mode: 0o600 })
    },
    async list() {
      const files = (await readdir(folder).catch(() => [])).filter((f) => f.endsWith('.eml'))
      const newest = files.sort().reverse().slice(0, listed)
      return Promise.all(
        newest.map(async (file): Promise<Message> => {
          const mail = await PostalMime.parse(await readFile(join(folder, file)))
          return {
            id: file,
            to: mail.to?.map((a) => a.address).join(', ') ?? '',
            subject: mail.subject ?? '',
            date: new Date(mail.date ?? 0).toISOString(),
            text: mail.text ?? '',
          }
        }),
      )
    },
    read: (file) => readFile(join(folder, file)).catch(() => undefined),
  }
}
