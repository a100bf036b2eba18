import type { Request, Router } from 'express'
import type { Knex } from 'knex'
import { randomUUID } from 'node:crypto'
import type { Teacher } from '@esfuerzo/contract'
import { Counter, type Limits } from '../http/limits.ts'
import type { Deletions } from '../deletions/deletions.ts'
import { noteEvent, noteOnceAnHour } from '../events/store.ts'
import { implement } from '../http/implement.ts'
import { ServerError } from '../http/serverError.ts'
import { networkOfRequest } from '../http/address.ts'
import type { Afterwards } from '../http/afterwards.ts'
import { letters } from '../mail/letters.ts'
import type { Post } from '../mail/post.ts'
import { mustBeZone } from '../zones/zones.ts'
import type { KnownDevices } from './knownDevice.ts'
import { addMailedLink, takeMailedLink } from './mailedLinks.ts'
import { hashPassword, passwordFits } from './password.ts'
import { passwordChecks } from './passwordChecks.ts'
import {
  addTeacher,
  deleteTeacher,
  endSignIns,
  findAccount,
  readPasswordHash,
  readTeacher,
  renameTeacher,
  setPasswordHash,
} from './store.ts'

export interface AccountParts {
  db: Knex
  limits: Limits
  post: Post
  afterwards: Afterwards
  deletions: Deletions
  /** Devices on which somebody signed in before. */
  known: KnownDevices
  /** Where links in messages lead. */
  pagesAt: string
  /** Messages go to an outbox that can be viewed. */
  demo: boolean
}

/** A new id, so that one planted before the sign-in is worthless after it. */
async function signedIn(req: Request, teacher: Teacher): Promise<Teacher> {
  await new Promise<void>((resolve, reject) => req.session.regenerate((e) => (e ? reject(e) : resolve())))
  req.session.teacherId = teacher.id
  return teacher
}
const signedOut = (req: Request) =>
  new Promise<void>((resolve, reject) => req.session.destroy((e) => (e ? reject(e) : resolve())))

/**
 * Sign-in, sign-out, sign-up and deleting an account. No answer reveals whether an account exists. Only wrong passwords are counted: by
 * account and network together, by account, and by network. Above a limit right and wrong passwords get the same answer, and a right one
 * also a mailed link (https://cheatsheetseries.owasp.org/cheatsheets/Authentication_Cheat_Sheet.html, *Account lockout*); nobody is locked
 * out, and a known device needs no link.
 */
// oxlint-disable-next-line max-lines-per-function -- one route after the other; they share counters of tries
export function accountRoutes(router: Router, parts: AccountParts): void {
  const { db, limits, post, afterwards, deletions, pagesAt, demo, known } = parts
  const byBoth = new Counter(db, 'sign-in-both', limits.account)
  const byAccount = new Counter(db, 'sign-in-wrong', limits.guard)
  const byNetwork = new Counter(db, 'sign-in-network', limits.network)
  const byLinks = new Counter(db, 'sign-in-links', limits.links)
  const askedBy = new Counter(db, 'mail-asked', limits.asked)
  const own = new Counter(db, 'password', limits.account)
  const mailed = (kind: string, limit = limits.mail) => new Counter(db, `mail-${kind}`, limit)
  const mails = {
    welcome: mailed('welcome'),
    password: mailed('password'),
    signIn: mailed('sign-in', limits.signInMail),
  }
  const checks = passwordChecks()

  implement(router, 'signIn', async ({ body, req, res }) => {
    const account = body.email.trim().toLowerCase()
    const network = networkOfRequest(req)
    const found = await findAccount(db, account)
    const device = found && known.markOf(req, found)
    // A device that signed in to the account before has its own limit: strangers cannot use it up.
    const both = device ? `${device} ${account}` : `${network} ${account}`
    const canWrite = await post.ready()
    // If no message can be sent, requiring a link would lock the owner out.
    const isPast = async () =>
      (await byBoth.isFull(both)) ||
      (!device && canWrite && ((await byAccount.isFull(account)) || (await byNetwork.isFull(network))))
    const refusal = canWrite && !device ? 'guarded' : 'too-many-tries'
    const fits = await checks.run(network, () => passwordFits(found?.passwordHash, body.password))
    const past = await isPast()
    if (!fits || !found) {
      await Promise.all([byBoth.hasRoom(both), byAccount.hasRoom(account), byNetwork.hasRoom(network)])
      if (found && past) await noteOnceAnHour(db, found.teacher.id, 'many-wrong-passwords')
      throw new ServerError(past ? refusal : 'wrong-sign-in')
    }
    if (!past) {
      await noteEvent(db, found.teacher.id, 'signed-in')
      known.remember(req, res, found)
      return signedIn(req, found.teacher)
    }
    if (refusal === 'guarded') {
      const { id, email, name } = found.teacher
      sendLater(mails.signIn, email, async () => {
        const link = { purpose: 'sign-in', teacherId: id, email, name, zone: null } as const
        const token = await addMailedLink(db, link, Date.now())
        await post.send(letters.signIn(email, name, `${pagesAt}/sign-in/${token}`))
      })
    }
    throw new ServerError(refusal)
  })

  implement(router, 'signInByLink', async ({ body, req, res }) => {
    const network = networkOfRequest(req)
    await byLinks.count(network)
    const link = await takeMailedLink(db, 'sign-in', body.token, Date.now())
    const found = link?.teacherId ? await findAccount(db, link.email) : undefined
    if (!found || found.teacher.id !== link?.teacherId) throw new ServerError('ended')
    await byLinks.refund(network)
    await noteEvent(db, found.teacher.id, 'signed-in-by-link')
    known.remember(req, res, found)
    return signedIn(req, found.teacher)
  })

  implement(router, 'signOut', async ({ req }) => {
    await signedOut(req)
    return {}
  })

  /** Somebody at an open page must not guess without limit. @throws {ServerError} `wrong-sign-in`, `too-many-tries` */
  async function mustFit(teacherId: string, password: string): Promise<void> {
    await own.count(teacherId)
    const passwordHash = await readPasswordHash(db, teacherId)
    if (!(await checks.run(teacherId, () => passwordFits(passwordHash, password))))
      throw new ServerError('wrong-sign-in')
    await own.refund(teacherId)
  }

  implement(router, 'changePassword', async ({ teacherId, body, req }) => {
    await mustFit(teacherId, body.current)
    await setPasswordHash(db, teacherId, await hashPassword(body.next))
    await endSignIns(db, teacherId, req.sessionID)
    await noteEvent(db, teacherId, 'password-changed')
    return {}
  })

  implement(router, 'signOutEverywhere', async ({ teacherId, req }) => {
    await endSignIns(db, teacherId)
    await noteEvent(db, teacherId, 'signed-out-everywhere')
    await signedOut(req)
    return {}
  })

  implement(router, 'me', async ({ teacherId, req }) => {
    const teacher = await readTeacher(db, teacherId)
    if (!teacher) {
      req.session.destroy(() => {})
      throw new ServerError('sign-in-needed')
    }
    return teacher
  })

  implement(router, 'rename', async ({ teacherId, body }) => {
    const teacher = await renameTeacher(db, teacherId, body.name)
    if (!teacher) throw new ServerError('sign-in-needed')
    return teacher
  })

  implement(router, 'deleteAccount', async ({ teacherId, body, req }) => {
    await mustFit(teacherId, body.password)
    const teacher = await readTeacher(db, teacherId)
    await deleteTeacher(db, teacherId)
    if (teacher) await post.forget(teacher.email)
    await deletions.note({ what: 'account', teacher: teacherId, id: teacherId })
    await signedOut(req)
    return {}
  })

  /**
   * A client that asks for many is refused. After many to one address, no more are sent, without telling anybody: the latest is younger
   * than the hour its link works, so nobody can lock an owner out by asking.
   */
  function sendLater(counter: Counter, email: string, write: () => Promise<void>): void {
    afterwards.later('a message could not be sent', async () => {
      if (await counter.hasRoom(email.toLowerCase())) await write()
    })
  }

  /** The answer is sent before the account is looked up, so that its timing tells nothing. */
  async function byMessage(req: Request, counter: Counter, email: string, write: () => Promise<void>): Promise<void> {
    await askedBy.count(networkOfRequest(req))
    if (!(await post.ready())) throw new ServerError('mail-away')
    sendLater(counter, email, write)
  }

  implement(router, 'signUp', async ({ body: { name, email, zone }, req }) => {
    await mustBeZone(db, zone)
    await byMessage(req, mails.welcome, email, async () => {
      if (await findAccount(db, email)) {
        await post.send(letters.alreadyThere(email, `${pagesAt}/sign-in`, `${pagesAt}/forgotten`))
        return
      }
      const token = await addMailedLink(db, { purpose: 'password', teacherId: null, email, name, zone }, Date.now())
      await post.send(letters.welcome(email, `${pagesAt}/password/${token}`))
    })
    return { demo }
  })

  implement(router, 'forgotPassword', async ({ body: { email: asked }, req }) => {
    await byMessage(req, mails.password, asked, async () => {
      const found = await findAccount(db, asked)
      if (!found) return
      const { id, email, name } = found.teacher
      const link = { purpose: 'password', teacherId: id, email, name: null, zone: null } as const
      const token = await addMailedLink(db, link, Date.now())
      await post.send(letters.newPassword(email, name, `${pagesAt}/password/${token}`))
    })
    return { demo }
  })

  implement(router, 'choosePassword', async ({ body, req, res }) => {
    const network = networkOfRequest(req)
    await byLinks.count(network)
    const passwordHash = await hashPassword(body.password)
    const teacher = await db.transaction(async (trx) => {
      const link = await takeMailedLink(trx, 'password', body.token, Date.now())
      if (!link) return undefined
      if (link.teacherId) {
        await setPasswordHash(trx, link.teacherId, passwordHash)
        await endSignIns(trx, link.teacherId)
        await noteEvent(trx, link.teacherId, 'password-chosen')
        return readTeacher(trx, link.teacherId)
      }
      // Another link may have created the account meanwhile.
      if (await findAccount(trx, link.email)) return undefined
      const added: Teacher = { id: randomUUID(), email: link.email, name: link.name ?? '' }
      await addTeacher(trx, added, link.zone ?? 'UTC', passwordHash)
      return added
    })
    if (!teacher) throw new ServerError('ended')
    await byLinks.refund(network)
    known.remember(req, res, { teacher, passwordHash })
    return signedIn(req, teacher)
  })
}
