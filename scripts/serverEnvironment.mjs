// What the start command tells the server.

/**
 * Node's options for the server; `deploy/` has the same. By default the heap grows to several times what is needed before it is collected;
 * heavy work has its own threads and limits.
 */
export const serverWords = ['--enable-source-maps', '--max-old-space-size=768', 'server/dist/bundle/main.js']

/**
 * The demo is added to the start command's own database, if the server is reachable only from this machine and nobody says otherwise: its
 * password is public, and whoever can read its outbox controls every account.
 *
 * @param {Record<string, string | undefined>} env the environment as found
 * @param {{ privateUrl?: string, secret: string, port: number }} own `privateUrl` of the start command's own database, if that is used
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
