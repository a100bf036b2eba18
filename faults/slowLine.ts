import { connect, createServer, type AddressInfo, type Socket } from 'node:net'

/** Milliseconds each piece waits on the line, at most; and how often it breaks off at one. */
const [slowest, breaks] = [250, 0.03]

/**
 * A line to a server, slow as a school's at eight in the morning: every piece waits, and at some the line breaks off.
 *
 * @param url where the server is
 */
export async function startSlowLine(url: string): Promise<{ url: string; close: () => Promise<void> }> {
  const { hostname, port } = new URL(url)
  const open = new Set<Socket>()
  const line = createServer((near) => {
    const far = connect(Number(port), hostname)
    const end = () => {
      near.destroy()
      far.destroy()
    }
    const carry = (from: Socket, to: Socket) => {
      // One after the other, however long each waits.
      let before = Promise.resolve()
      from.on('data', (piece) => {
        if (Math.random() < breaks) return end()
        before = before.then(() => new Promise((on) => setTimeout(on, Math.random() * slowest)))
        before = before.then(() => void (to.writable && to.write(piece)))
      })
      from.on('end', () => void before.then(() => to.end()))
      from.on('error', end)
    }
    carry(near, far)
    carry(far, near)
    for (const socket of [near, far]) {
      open.add(socket)
      socket.once('close', () => open.delete(socket))
    }
  })
  await new Promise<void>((listening) => line.listen(0, '127.0.0.1', listening))
  return {
    url: `http://127.0.0.1:${(line.address() as AddressInfo).port}`,
    close: () =>
      new Promise((closed) => {
        line.close(() => closed())
        for (const socket of open) socket.destroy()
      }),
  }
}
