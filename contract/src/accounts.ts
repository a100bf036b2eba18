import { z } from 'zod'
import { rule, lineSchema, settingsChangeSchema, settingsDocument, zoneSchema } from '@esfuerzo/core'
import { documentField } from './documentField.ts'
import { endpoint, none } from './endpoint.ts'
import { emailSchema, tokenSchema } from './fields.ts'

/** At least 10 characters: NIST SP 800-63B asks for length and nothing else. */
const newPassword = z.string().min(10).max(200)
/** An address as typed at sign-in: an invalid one belongs to no account and gets the same answer. */
const signInName = z
  .string()
  .min(1)
  .max(254)
  .refine((s) => s.isWellFormed() && !s.includes('\0'), rule('noBrokenCharacters'))
const personName = lineSchema.trim().min(1).max(80)

export const teacherSchema = z.strictObject({
  id: z.uuid(),
  name: lineSchema,
  email: z.email(),
  /** A saved time zone that the server could not use; it counts as UTC until she chooses another. */
  unknownZone: z.string().optional(),
})
export type Teacher = z.infer<typeof teacherSchema>

const settingsField = documentField(settingsDocument)

/** `demo`: the message is in the outbox, where it can be read. */
const messageSent = z.strictObject({ demo: z.boolean() })

/** Sign-in, sign-up, passwords, settings, exporting everything and deleting the account. */
export const accountEndpoints = {
  signIn: endpoint({
    method: 'POST',
    path: '/api/session',
    access: 'anyone',
    body: z.strictObject({ email: signInName, password: z.string().min(1).max(200) }),
    answer: teacherSchema,
  }),
  /** What a mailed sign-in link does: signs in, once. */
  signInByLink: endpoint({
    method: 'POST',
    path: '/api/session/link',
    access: 'anyone',
    body: z.strictObject({ token: tokenSchema }),
    answer: teacherSchema,
  }),
  signOut: endpoint({ method: 'DELETE', path: '/api/session', access: 'teacher', answer: none }),
  me: endpoint({ method: 'GET', path: '/api/me', access: 'teacher', answer: teacherSchema }),
  /** Signs out every other device; this one stays signed in. */
  changePassword: endpoint({
    method: 'POST',
    path: '/api/password',
    access: 'teacher',
    body: z.strictObject({ current: z.string().min(1).max(200), next: newPassword }),
    answer: none,
  }),
  /** Ends every sign-in of the teacher, including this device's. */
  signOutEverywhere: endpoint({ method: 'DELETE', path: '/api/sessions', access: 'teacher', answer: none }),
  /** Sends a message with a link to continue. The answer is the same whether an account exists or not. */
  signUp: endpoint({
    method: 'POST',
    path: '/api/accounts',
    access: 'anyone',
    body: z.strictObject({ name: personName, email: emailSchema, zone: zoneSchema }),
    answer: messageSent,
  }),
  /** Sends a link for a new password if the account exists; the answer never tells. */
  forgotPassword: endpoint({
    method: 'POST',
    path: '/api/password/forgotten',
    access: 'anyone',
    body: z.strictObject({ email: emailSchema }),
    answer: messageSent,
  }),
  /** What such a link does: sets the password, creates the account if it is new, and signs in. */
  choosePassword: endpoint({
    method: 'POST',
    path: '/api/password/chosen',
    access: 'anyone',
    body: z.strictObject({ token: tokenSchema, password: newPassword }),
    answer: teacherSchema,
  }),
  rename: endpoint({
    method: 'PUT',
    path: '/api/me',
    access: 'teacher',
    body: z.strictObject({ name: personName }),
    answer: teacherSchema,
  }),
  /** Permanently deletes everything of the teacher. */
  deleteAccount: endpoint({
    method: 'POST',
    path: '/api/me/delete',
    access: 'teacher',
    body: z.strictObject({ password: z.string().min(1).max(200) }),
    answer: none,
  }),
  /** A zip of open files; the response body is the file itself. */
  exportAll: endpoint({ method: 'GET', path: '/api/export', access: 'teacher', answer: z.unknown() }),
  readSettings: endpoint({ method: 'GET', path: '/api/settings', access: 'teacher', answer: settingsField }),
  /** Changes the fields that are sent; the others stay. */
  saveSettings: endpoint({
    method: 'PUT',
    path: '/api/settings',
    access: 'teacher',
    body: settingsChangeSchema,
    answer: settingsField,
  }),
}
