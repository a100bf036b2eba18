import { createServer, request } from 'node:http'
import type { AddressInfo } from 'node:net'

/**
 * A planted bug: a proxy that acknowledges every run before the server has. A trial that does not detect it detects nothing.
 *
 * @param target the server's address
 */
export async function startHasty(target: string): Promise<{ url: string; close: () => Promise<void> }> {
  const { hostname, port } = new URL(target)
  const server = createServer((req, res) => {
    const chunks: Buffer[] = []
    req.on('data', (data: Buffer) => chunks.push(data))
    req.on('end', () => {
      const body = Buffer.concat(chunks)
      const hasty = req.method === 'POST' && req.url?.endsWith('/runs')
      if (hasty) {
        const { id } = JSON.parse(body.toString()) as { id: string }
        res.writeHead(200, { 'content-type': 'application/json' }).end(JSON.stringify({ id }))
      }
      const onward = request({ hostname, port, path: req.url, method: req.method, headers: req.headers }, (answer) => {
        if (hasty) return void answer.resume()
        res.writeHead(answer.statusCode ?? 502, answer.headers)
        answer.pipe(res)
      })
      onward.on('error', () => void (hasty || res.destroy()))
      onward.end(body)
    })
  })
  await new Promise<void>((resolve) => server.listen(0, '127.0.0.1', () => resolve()))
  return {
    url: `http://127.0.0.1:${(server.address() as AddressInfo).port}`,
    close: () =>
      new Promise((resolve) => {
        server.closeAllConnections()
        server.close(() => resolve())
      }),
  }
}
