import type { Application } from 'express'
import proxyaddr from 'proxy-addr'

/**
 * Decides whose forwarding headers are trusted: only those of the proxy the request came through. A client that reaches the server directly
 * is identified by its address, whatever its headers say.
 *
 * @param networks addresses, networks, and the names express knows
 */
export function oneProxy(networks: readonly string[]): Application['settings'] {
  const isProxy = proxyaddr.compile([...networks])
  return (address: string, hop: number) => hop === 0 && isProxy(address, hop)
}
