import { isIPv6 } from 'node:net'
import type { Request } from 'express'

/**
 * The network a request is counted under: for IPv6 the first 64 bits, because one subscriber has all of those addresses
 * (https://www.rfc-editor.org/rfc/rfc6177).
 *
 * @example networkOf('2001:db8:1:2:3:4:5:6') // '2001:db8:1:2'
 * @example networkOf('::ffff:192.0.2.7') // '192.0.2.7'
 */
export function networkOf(address: string): string {
  const four = /^::ffff:(\d+\.\d+\.\d+\.\d+)$/i.exec(address)
  if (four) return four[1]!
  if (!isIPv6(address)) return address
  const [head = '', tail] = address.split('::')
  const first = head ? head.split(':') : []
  const last = tail ? tail.split(':') : []
  const filled =
    tail === undefined ? first : [...first, ...Array<string>(8 - first.length - last.length).fill('0'), ...last]
  return filled.slice(0, 4).join(':')
}

export const networkOfRequest = (req: Request): string => networkOf(req.ip ?? '')
