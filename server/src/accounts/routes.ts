import type { Request, Router } from 'express'
import type { Knex } from 'knex'
import type { Logger } from 'pino'
import { v4 as uuid } from 'uuid'
import type { Teacher } from '@esfuerzo/contract'
import { Counter, type Limits } from '../http/limits.ts'
import type { Deletions } from '../deletions/deletions.ts'
import { implement } from '../http/implement.ts'
import { ServerError } from '../http/serverError.ts'
import { letters } from '../outbox/letters.ts'
import type { Outbox } from '../outbox/outbox.ts'
import { addMailedLink, takeMailedLink } from './mailedLinks.ts'
import { hashPassword, passwordFits } from './password.ts'
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
  outbox: Outbox
  deletions: Deletions
  log: Logger
  /** Where links in messages lead. */
  pagesAt: string
}

/** A new id, so that one planted before the sign-in is worth nothing after it. */
async function signedIn(req: Request, teacher: Teacher): Promise<Teacher> {
  await new Promise<void>((resolve, reject) => req.session.regenerate((e) => (e ? reject(e) : resolve())))
  req.session.teacherId = teacher.id
  return teacher
}
const signedOut = (req: Request) =>
  new Promise<void>((resolve, reject) => req.session.destroy((e) => (e ? reject(e) : resolve())))

/** Signing in and out, up and off. Limits count tries by account and by address; no answer tells whether an account exists. */
export function accountRoutes(router: Router, { db, limits, outbox, deletions, log, pagesAt }: AccountParts): void {
  const byAccount = new Counter(db, 'sign-in-account', limits.account)
  const byAddress = new Counter(db, 'sign-in-address', limits.address)
  const mailsTo = new Counter(db, 'mail-account', limits.mail)
  const mailsFrom = new Counter(db, 'mail-address', limits.address)

  implement(router, 'signIn', async ({ body, req }) => {
    const account = body.email.trim().toLowerCase()
    const address = req.ip ?? ''
    await byAddress.count(address)
    await byAccount.count(account)
    const found = await findAccount(db, account)
    if (!(await passwordFits(found?.passwordHash, body.password)) || !found) throw new ServerError('wrong-sign-in')
    await Promise.all([byAccount.clear(account), byAddress.clear(address)])
    return signedIn(req, found.teacher)
  })

  implement(router, 'signOut', async ({ req }) => {
    await signedOut(req)
    return {}
  })

  /** Whoever sits at an open page may not guess on and on either. @throws {ServerError} `wrong-sign-in`, `too-many-tries` */
  async function mustFit(teacherId: string, password: string): Promise<void> {
    await byAccount.count(teacherId)
    if (!(await passwordFits(await readPasswordHash(db, teacherId), password))) throw new ServerError('wrong-sign-in')
    await byAccount.clear(teacherId)
  }

  implement(router, 'changePassword', async ({ teacherId, body, req }) => {
    await mustFit(teacherId, body.current)
    await setPasswordHash(db, teacherId, await hashPassword(body.next))
    await endSignIns(db, teacherId, req.sessionID)
    return {}
  })

  implement(router, 'signOutEverywhere', async ({ teacherId, req }) => {
    await endSignIns(db, teacherId)
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
    await deleteTeacher(db, teacherId)
    await deletions.note({ what: 'account', teacher: teacherId, id: teacherId })
    await signedOut(req)
    return {}
  })

  /** The answer goes out before it is known whether there is an account, so that its time tells nothing either. */
  async function byMessage(req: Request, email: string, write: () => Promise<void>): Promise<void> {
    await mailsFrom.count(req.ip ?? '')
    await mailsTo.count(email.toLowerCase())
    write().catch((err) => log.error({ err }, 'a message could not be sent'))
  }

  implement(router, 'signUp', async ({ body: { name, email, zone }, req }) => {
    await byMessage(req, email, async () => {
      if (await findAccount(db, email)) {
        await outbox.send(letters.alreadyThere(email, `${pagesAt}/sign-in`, `${pagesAt}/forgotten`))
        return
      }
      const token = await addMailedLink(db, { teacherId: null, email, name, zone }, Date.now())
      await outbox.send(letters.welcome(email, name, `${pagesAt}/password/${token}`))
    })
    return {}
  })

  implement(router, 'forgotPassword', async ({ body: { email }, req }) => {
    await byMessage(req, email, async () => {
      const found = await findAccount(db, email)
      if (!found) return
      const link = { teacherId: found.teacher.id, email: found.teacher.email, name: null, zone: null }
      const token = await addMailedLink(db, link, Date.now())
      await outbox.send(letters.newPassword(found.teacher.email, found.teacher.name, `${pagesAt}/password/${token}`))
    })
    return {}
  })

  implement(router, 'choosePassword', async ({ body, req }) => {
    await byAddress.count(req.ip ?? '')
    const passwordHash = await hashPassword(body.password)
    const teacher = await db.transaction(async (trx) => {
      const link = await takeMailedLink(trx, body.token, Date.now())
      if (!link) return undefined
      if (link.teacherId) {
        await setPasswordHash(trx, link.teacherId, passwordHash)
        await endSignIns(trx, link.teacherId)
        return readTeacher(trx, link.teacherId)
      }
      // Somebody may have made the account by another link meanwhile.
      if (await findAccount(trx, link.email)) return undefined
      const added: Teacher = { id: uuid(), email: link.email, name: link.name ?? '' }
      await addTeacher(trx, added, link.zone ?? 'UTC', passwordHash)
      return added
    })
    if (!teacher) throw new ServerError('ended')
    await byAddress.clear(req.ip ?? '')
    return signedIn(req, teacher)
  })
}
