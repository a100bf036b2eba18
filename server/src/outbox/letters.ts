import type { Letter } from './outbox.ts'

const regards = '\n\nEsfuerzo\n'

/** The messages Esfuerzo sends, in one place. Each says why it came and what to do when nobody asked for it. */
export const letters = {
  welcome: (to: string, name: string, link: string): Letter => ({
    to,
    subject: 'Your account with Esfuerzo',
    text: `Hello ${name},\n\nchoose a password here and your account is ready:\n\n${link}\n\nThe link works once, for an hour. If you did not ask for an account, do nothing: none is made.${regards}`,
  }),
  alreadyThere: (to: string, signIn: string, forgotten: string): Letter => ({
    to,
    subject: 'You have an account with Esfuerzo already',
    text: `Somebody asked for a new account for this address, and there is one already.\n\nSign in:  ${signIn}\nChoose a new password:  ${forgotten}\n\nIf that was not you, do nothing: nothing was changed.${regards}`,
  }),
  newPassword: (to: string, name: string, link: string): Letter => ({
    to,
    subject: 'A new password for Esfuerzo',
    text: `Hello ${name},\n\nchoose a new password here:\n\n${link}\n\nThe link works once, for an hour. If you did not ask for it, do nothing: your password stays as it is.${regards}`,
  }),
  families: (to: string, from: string, subject: string, text: string): Letter => ({
    to,
    subject,
    text: `${text}\n\n${from}\n`,
  }),
  copy: (to: string, from: string, title: string, link: string): Letter => ({
    to,
    subject: `A session from ${from}: ${title}`,
    text: `${from} sends you a copy of the session "${title}". Look at it and take it over here:\n\n${link}\n\nThe copy is yours to change; theirs stays as it is. The link works for 30 days.${regards}`,
  }),
}
