import type { Application } from 'express'
import proxyaddr from 'proxy-addr'

/**
 * Whose word is taken for where a request comes from: that of the proxy it comes through, and nobody's behind it. Whoever reaches
 * the server itself from elsewhere is taken for who they are, whatever their headers say.
 *
 * @param networks addresses, networks, and the names express knows
 */
export function oneProxy(networks: readonly string[]): Application['settings'] {
  const isProxy = proxyaddr.compile([...networks])
  return (address: string, hop: number) => hop === 0 && isProxy(address, hop)
}
