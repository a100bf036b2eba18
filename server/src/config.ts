import { z } from 'zod'

const schema = z.object({
  DATABASE_URL: z.string().min(1),
  /** At least 32 bytes; signs cookies and makes tokens. Kept out of the database. */
  SECRET: z.string().min(32),
  PORT: z.coerce.number().int().min(0).max(65_535).default(4180),
  HOST: z.string().default('127.0.0.1'),
  /** Where pages are reached from outside, where that is not what the request says. */
  PUBLIC_ORIGIN: z.url().optional(),
  TRUST_PROXY: z.stringbool().default(false),
  LOG_LEVEL: z.enum(['fatal', 'error', 'warn', 'info', 'debug', 'silent']).default('info'),
  DEMO: z.stringbool().default(false),
  /** Folder that messages are written to, in place of a post office. */
  OUTBOX: z.string().min(1).default('.data/outbox'),
  /** File that deletions are written to, for a restored backup to repeat. */
  DELETIONS: z.string().min(1).default('.data/deletions.jsonl'),
})

/** What the server is told from outside, checked once at the start. */
export interface Config {
  databaseUrl: string
  secret: string
  port: number
  host: string
  publicOrigin?: string
  trustProxy: boolean
  logLevel: string
  demo: boolean
  outbox: string
  deletions: string
  /** Where links in messages lead. Never taken from a request, whose headers anybody can make up. */
  pagesAt: string
}

/**
 * @param env the process's environment
 * @throws {Error} naming every variable that is missing or wrong
 */
export function readConfig(env: Record<string, string | undefined>): Config {
  const result = schema.safeParse(env)
  if (!result.success) {
    const wrong = result.error.issues.map((i) => `${i.path.join('.')}: ${i.message}`)
    throw new Error(`readConfig: the environment is not right: ${wrong.join('; ')}`)
  }
  const e = result.data
  return Object.freeze({
    databaseUrl: e.DATABASE_URL,
    secret: e.SECRET,
    port: e.PORT,
    host: e.HOST,
    publicOrigin: e.PUBLIC_ORIGIN,
    trustProxy: e.TRUST_PROXY,
    logLevel: e.LOG_LEVEL,
    demo: e.DEMO,
    outbox: e.OUTBOX,
    deletions: e.DELETIONS,
    pagesAt: e.PUBLIC_ORIGIN ?? `http://${e.HOST}:${e.PORT}`,
  })
}
