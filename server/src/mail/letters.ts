import { addressIn } from './addressIn.ts'

/** A message to be sent. */
export interface Letter {
  to: string
  subject: string
  text: string
  /** Who is answered. */
  replyTo?: string
}

/** Whose message it is, where a teacher writes. */
interface Writer {
  name: string
  email: string
}

const regards = '\n\nEsfuerzo\n'

/** Under every message that somebody wrote: who did, and whom to tell where it was not wanted. */
const written = ({ name, email }: Writer) =>
  `\n\n--\n${plain(name, 'A teacher')} <${email}> sends you this by Esfuerzo. If you do not know who that is, delete it, and write to the school.\n`

/** Somebody's words as they go out: what has an address in it is left out, or advertising would leave the house in our name. */
const plain = (words: string, instead: string): string => (addressIn(words) ? instead : words)

/** The messages Esfuerzo sends, in one place. Each says why it came and what to do when nobody asked for it. */
export const letters = {
  /** Without the name that was typed: whoever typed it may be a stranger to the address. */
  welcome: (to: string, link: string): Letter => ({
    to,
    subject: 'Your account with Esfuerzo',
    text: `Hello,\n\nchoose a password here and your account is ready:\n\n${link}\n\nThe link works once, for an hour. If you did not ask for an account, do nothing: none is made.${regards}`,
  }),
  alreadyThere: (to: string, signIn: string, forgotten: string): Letter => ({
    to,
    subject: 'You have an account with Esfuerzo already',
    text: `Somebody asked for a new account for this address, and there is one already.\n\nSign in:  ${signIn}\nChoose a new password:  ${forgotten}\n\nIf that was not you, do nothing: nothing was changed.${regards}`,
  }),
  newPassword: (to: string, name: string, link: string): Letter => ({
    to,
    subject: 'A new password for Esfuerzo',
    text: `Hello ${plain(name, '')},\n\nchoose a new password here:\n\n${link}\n\nThe link works once, for an hour. If you did not ask for it, do nothing: your password stays as it is.${regards}`,
  }),
  signIn: (to: string, name: string, link: string): Letter => ({
    to,
    subject: 'Sign in to Esfuerzo',
    text: `Hello ${plain(name, '')},\n\nsomebody has tried many wrong passwords for your account, so the right one alone does not open it for a while. It was just typed. If that was you, sign in here:\n\n${link}\n\nThe link works once, for an hour. If it was not you, somebody knows your password: choose a new one at once by "Forgotten your password?".${regards}`,
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
    text: `${plain(from.name, 'A colleague')} sends you a copy of the session "${plain(title, 'without a title')}". Look at it and take it over here:\n\n${link}\n\nThe copy is yours to change; theirs stays as it is. The link works for 30 days.${written(from)}`,
  }),
}
