import { hash, verify } from '@node-rs/argon2'

// OWASP's second choice for Argon2id (19 MiB, two passes, one lane), the package's default algorithm.
const options = { memoryCost: 19_456, timeCost: 2, parallelism: 1 }

/** Argon2id with its salt in the text; see `passwordFits`. */
export const hashPassword = (password: string): Promise<string> => hash(password, options)

let decoy: Promise<string> | undefined

/** Whether a password matches a hash. Without a hash it takes the same time, so that timing reveals no accounts. */
export async function passwordFits(passwordHash: string | undefined, password: string): Promise<boolean> {
  decoy ??= hashPassword('nobody has this password')
  const fits = await verify(passwordHash ?? (await decoy), password)
  return fits && passwordHash !== undefined
}
