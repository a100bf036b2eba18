import { addressIn } from './addressIn.ts'

/** A message to be sent. */
export interface Letter {
  to: string
  subject: string
  text: string
  /** The address for replies. */
  replyTo?: string
}

/** The sender, if a teacher writes. */
interface Writer {
  name: string
  email: string
}

const regards = '\n\nEsfuerzo\n'

/** Below every message written by somebody: who wrote it, and whom to tell if it was unwanted. */
const written = ({ name, email }: Writer) =>
  `\n\n--\n${plain(name, 'A teacher')} <${email}> sent you this with Esfuerzo. If you don’t know this person, delete the message and tell the school.\n`

/** A teacher's words in a message: without addresses, or advertising would leave in our name. */
const plain = (words: string, instead: string): string => (addressIn(words) ? instead : words)

/** All messages Esfuerzo sends. Each says why it was sent and what to do if nobody asked for it. */
export const letters = {
  /** Without the typed name: a stranger to the address may have typed it. */
  welcome: (to: string, link: string): Letter => ({
    to,
    subject: 'Your Esfuerzo account',
    text: `Hello,\n\nChoose a password here to finish your account:\n\n${link}\n\nThe link works once, for an hour. If you didn’t ask for an account, ignore this message. No account will be created.${regards}`,
  }),
  alreadyThere: (to: string, signIn: string, forgotten: string): Letter => ({
    to,
    subject: 'You already have an Esfuerzo account',
    text: `Someone asked for a new account with this address, but you already have one.\n\nSign in:  ${signIn}\nSet a new password:  ${forgotten}\n\nIf this wasn’t you, ignore this message. Nothing was changed.${regards}`,
  }),
  newPassword: (to: string, name: string, link: string): Letter => ({
    to,
    subject: 'Set a new Esfuerzo password',
    text: `Hello ${plain(name, '')},\n\nSet a new password here:\n\n${link}\n\nThe link works once, for an hour. If you didn’t ask for it, ignore this message. Your password stays the same.${regards}`,
  }),
  signIn: (to: string, name: string, link: string): Letter => ({
    to,
    subject: 'Sign in to Esfuerzo',
    text: `Hello ${plain(name, '')},\n\nSomeone tried many wrong passwords for your account. For a while, signing in also needs this link. The right password was just entered. If that was you, sign in here:\n\n${link}\n\nThe link works once, for an hour. If it wasn’t you, someone knows your password. Set a new one now with "Forgot your password?" on the sign-in page.${regards}`,
  }),
  families: (to: string, from: Writer, subject: string, text: string): Letter => ({
    to,
    subject,
    replyTo: from.email,
    text: `${text}${written(from)}`,
  }),
  copy: (to: string, from: Writer, title: string, link: string): Letter => ({
    to,
    subject: `A session from ${plain(from.name, 'a colleague')}: ${plain(title, 'a copy for you')}`,
    replyTo: from.email,
    text: `${plain(from.name, 'A colleague')} sent you a copy of the session "${plain(title, 'Untitled')}". Review it and add it to your sessions here:\n\n${link}\n\nYou can change your copy freely. The link works for 30 days.${written(from)}`,
  }),
}
