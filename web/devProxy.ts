import type { ServerOptions } from 'vite'

/**
 * Where a page in development finds what is not its own: the server's API, and for the teacher's pages also the family's. All of it is
 * reached through one origin, as in production. `npm run dev` says where each listens.
 */
export function devProxy(paths: readonly string[]): ServerOptions {
  const { ESFUERZO_SERVER: server, ESFUERZO_FAMILY: family } = process.env
  if (!server) return {}
  const to = (target: string) => ({ target, changeOrigin: false, ws: true })
  return {
    proxy: Object.fromEntries(paths.map((path) => [path, to(path === '/go' && family ? family : server)])),
  }
}
