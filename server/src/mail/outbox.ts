import { mkdir, readdir, readFile, stat, statfs, unlink, writeFile } from 'node:fs/promises'
import { join } from 'node:path'
import { createTransport } from 'nodemailer'
import PostalMime from 'postal-mime'
import { v7 as uuid } from 'uuid'
import type { Message } from '@esfuerzo/contract'
import type { Post } from './post.ts'

/** A folder of real .eml files, instead of a mail server: for a mail system to pick up, or to be viewed in the demo. */
export interface Outbox extends Post {
  /** The newest first, at most a hundred. */
  list: () => Promise<Message[]>
  /** One message's file; undefined if it doesn't exist. */
  read: (file: string) => Promise<Buffer | undefined>
  /** Deletes old messages. @param now milliseconds */
  prune: (now: number) => Promise<void>
}

const sender = 'Esfuerzo <no-reply@esfuerzo.invalid>'
const listed = 100
/** How long a message is kept at most, in milliseconds: two weeks (ours). Its links have ended or been used by then. */
const kept = 14 * 24 * 60 * 60 * 1000
/** Free bytes required to write a message: its size and some more. */
const room = 1024 * 1024

/** @param folder created when first needed */
export function openOutbox(folder: string): Outbox {
  const writer = createTransport({ streamTransport: true, buffer: true, newline: 'windows' })
  const files = async () => (await readdir(folder).catch(() => [])).filter((f) => f.endsWith('.eml')).sort()
  return {
    async send(letter) {
      const { message } = await writer.sendMail({ from: sender, ...letter })
      await mkdir(folder, { recursive: true, mode: 0o700 })
      // Version 7 ids sort by time, so the folder's order is the order of sending.
      await writeFile(join(folder, `${uuid()}.eml`), message as Buffer, { mode: 0o600 })
    },
    async ready() {
      try {
        await mkdir(folder, { recursive: true, mode: 0o700 })
        const { bavail, bsize } = await statfs(folder)
        return bavail * bsize > room
      } catch {
        return false
      }
    },
    async forget(address) {
      for (const file of await files()) {
        const text = await readFile(join(folder, file), 'latin1').catch(() => '')
        if (text.toLowerCase().includes(address.toLowerCase())) await unlink(join(folder, file)).catch(() => undefined)
      }
    },
    async prune(now) {
      for (const file of await files()) {
        const { mtimeMs } = await stat(join(folder, file)).catch(() => ({ mtimeMs: now }))
        if (now - mtimeMs > kept) await unlink(join(folder, file)).catch(() => undefined)
      }
    },
    async list() {
      const newest = (await files()).reverse().slice(0, listed)
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
