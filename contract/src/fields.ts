import { z } from 'zod'
import { rule } from '@esfuerzo/core'

/** Fields that several routes take or answer. */
export const idParams = z.strictObject({ id: z.uuid() })
/** 128 bits in base64url. */
export const tokenSchema = z.string().regex(/^[A-Za-z0-9_-]{22}$/, rule('linkToken'))
export const tokenParams = z.strictObject({ token: tokenSchema })
export const sha256Schema = z.string().regex(/^[0-9a-f]{64}$/, rule('hash'))
/** The size limit of the database column. */
export const revisionSchema = z.int().min(1).max(2_147_483_646)
export const momentSchema = z.iso.datetime()
/** An address as typed: spaces around it are ignored. */
export const emailSchema = z.string().trim().pipe(z.email().max(254))
