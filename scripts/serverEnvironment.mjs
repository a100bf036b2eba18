// What the server is told by the start command.

/**
 * What node is told to start the server by; `deploy/` says the same. Left alone it lets the heap grow to several times what is needed
 * before it tidies; work that takes much has threads and bounds of its own.
 */
export const serverWords = ['--enable-source-maps', '--max-old-space-size=768', 'server/dist/bundle/main.js']

/**
 * The demo is there on the start command's own database, when nobody from outside is let in and nobody says otherwise: its
 * password is known to everybody, and whoever has its outbox has every account.
 *
 * @param {Record<string, string | undefined>} env as it was found
 * @param {{ privateUrl?: string, secret: string, port: number }} own `privateUrl` of the start command's own database, where it is used
 */
export function serverEnvironment(env, { privateUrl, secret, port }) {
  const alone = privateUrl !== undefined && !env.PUBLIC_ORIGIN && !env.HOST
  return {
    ...env,
    NODE_ENV: 'production',
    DATABASE_URL: privateUrl ?? env.DATABASE_URL,
    SECRET: env.SECRET ?? secret,
    PORT: String(port),
    PRIVATE_CLUSTER: String(privateUrl !== undefined),
    DEMO: env.DEMO ?? String(alone),
    LOG_LEVEL: env.LOG_LEVEL ?? 'warn',
  }
}
