import { basename, join } from 'node:path'
import type { Express } from 'express'
import expressStaticGzip from 'express-static-gzip'
import { entryPage } from './entryPage.ts'

/** What the solver's worker may do: compile WebAssembly, and fetch it from here. No other page may. */
export const solverPolicy = "default-src 'none'; script-src 'self' 'wasm-unsafe-eval'; connect-src 'self'"

/**
 * The two built sets of pages. Their files have a hash in the name and never change; their entry pages are always revalidated.
 *
 * @param pages folder with `teacher/` and `family/`
 */
export function servePages(app: Express, pages: string): void {
  // Compressed at build time: the smallest encoding the browser accepts is served.
  const files: expressStaticGzip.ExpressStaticGzipOptions = {
    index: false,
    enableBrotli: true,
    orderPreference: ['br', 'gzip'],
    serveStatic: { index: false, immutable: true, maxAge: '1y' },
  }
  app.use('/go/assets', expressStaticGzip(join(pages, 'family', 'assets'), files))
  // Only the solver compiles WebAssembly: a worker has the policy of its own response.
  app.use('/assets', (req, res, next) => {
    if (/^\/solver\.worker-[\w-]+\.js$/.test(req.path)) res.set('Content-Security-Policy', solverPolicy)
    next()
  })
  app.use('/assets', expressStaticGzip(join(pages, 'teacher', 'assets'), files))
  app.get('/robots.txt', (_req, res) => void res.type('text/plain').send('User-agent: *\nDisallow: /\n'))
  app.get('/favicon.svg', (_req, res) => void res.sendFile(join(pages, 'teacher', 'favicon.svg')))
  // What keeps the pages on a device is revalidated every time, so that an update is found.
  app.get(['/go/sw.js', '/go/workbox-{*path}', '/go/manifest.webmanifest', '/go/icon.svg'], (req, res, next) => {
    res.set('Cache-Control', 'no-cache')
    res.sendFile(join(pages, 'family', basename(req.path)), (error) => error && next())
  })
  // A page older than the deployment requests a script that no longer exists: it must get an error, not a page in its place.
  app.get(
    /^\/(?!api\/|snapshots\/|schemas\/|assets\/|go\/assets\/|go\/workbox-|go(?:\/|$)).*/,
    entryPage(join(pages, 'teacher', 'index.html')),
  )
  app.get(
    /^\/go(?:\/(?!assets\/|workbox-|sw\.js|manifest\.|icon\.).*)?$/,
    entryPage(join(pages, 'family', 'index.html'), { 'X-Robots-Tag': 'noindex, nofollow' }),
  )
}
