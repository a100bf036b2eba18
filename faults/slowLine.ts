import { connect, createServer, type AddressInfo, type Socket } from 'node:net'

/** Maximum milliseconds each piece of data is delayed, and how often the connection breaks. */
const [slowest, breaks] = [250, 0.03]

/**
 * A connection to a server as slow as a school's at eight in the morning: every piece of data is delayed, and sometimes the connection
 * breaks.
 *
 * @param url the server's address
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
      // In order, however long each is delayed.
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
