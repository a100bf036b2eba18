import { createHmac, timingSafeEqual } from 'node:crypto'
import { parseCookie } from 'cookie'
import type { Request, Response } from 'express'

/** How long a device is known after its last sign-in, in milliseconds: a bit more than a school year (ours). */
const knownFor = 400 * 24 * 60 * 60 * 1000
/** Most accounts known on one device: a staff-room computer has several. */
const most = 12

/** A teacher's account with its password hash. */
interface Account {
  teacher: { id: string }
  passwordHash: string
}

/**
 * Devices on which somebody signed in to an account before, identified by a mark that only this server can make. It opens nothing: the
 * password is still needed, but no mailed link. A changed password invalidates it.
 */
export interface KnownDevices {
  /** What identifies this device, for counting; undefined if it is not known for the account. */
  markOf: (req: Request, account: Account) => string | undefined
  /** Remembers that somebody signed in here. */
  remember: (req: Request, res: Response, account: Account) => void
}

/** @param secure whether pages are reached only by https */
export function knownDevices(secret: string, secure: boolean): KnownDevices {
  const name = secure ? '__Host-esfuerzo-known' : 'esfuerzo-known'
  const markFor = ({ teacher, passwordHash }: Account): string =>
    createHmac('sha256', secret)
      .update(`known-device:${teacher.id}:${passwordHash}`)
      .digest()
      .subarray(0, 16)
      .toString('base64url')
  const marks = (req: Request): string[] =>
    (parseCookie(req.get('cookie') ?? '')[name] ?? '').split('.').filter((mark) => mark.length === 22)
  const isSame = (one: string, other: string) => timingSafeEqual(Buffer.from(one), Buffer.from(other))
  const markOf = (req: Request, account: Account) => {
    const right = markFor(account)
    return marks(req).some((mark) => Buffer.byteLength(mark) === right.length && isSame(mark, right))
      ? right
      : undefined
  }
  return {
    markOf,
    remember(req, res, account) {
      const right = markFor(account)
      const kept = [right, ...marks(req).filter((mark) => mark !== right)].slice(0, most)
      res.cookie(name, kept.join('.'), { httpOnly: true, sameSite: 'lax', secure, path: '/', maxAge: knownFor })
    },
  }
}
