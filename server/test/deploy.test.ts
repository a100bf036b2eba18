import { readdirSync, readFileSync } from 'node:fs'
import { expect, it } from 'vitest'
import { serverWords } from '../../scripts/serverEnvironment.mjs'
import { filled } from '../../scripts/stand.mjs'

const node = {
  name: 'db1',
  host: '10.0.0.1',
  port: 5432,
  rest: 8008,
  etcd: '10.0.0.1:2379',
  network: '10.0.0.0/24',
  folder: '/var/lib/postgresql/db1',
  programs: '/usr/lib/postgresql/15/bin',
  password: 'not-a-secret',
}

it('the configuration of several machines is filled in completely, or names what is missing', () => {
  const text = filled('patroni.yml', node)
  expect(text.replace(/^#.*$/gm, '')).not.toContain('{{')
  expect(text).toContain("listen: '10.0.0.1:5432'")
  const { password: _, ...without } = node
  expect(() => filled('patroni.yml', without)).toThrow('patroni.yml asks for {{password}}')
})

it('the server has the same start options everywhere', () => {
  const read = (name: string) => readFileSync(new URL(`../../deploy/${name}`, import.meta.url), 'utf8')
  expect(read('esfuerzo.service')).toContain(`ExecStart=/usr/bin/node ${serverWords.join(' ')}\n`)
  expect(read('Containerfile')).toContain(`CMD ${JSON.stringify(['node', ...serverWords]).replaceAll(',', ', ')}`)
})

it('a commit is on two machines, and a lost leader has stepped down before another leads', () => {
  const text = filled('patroni.yml', node)
  expect(text).toMatch(/^ +synchronous_mode: true$/m)
  const seconds = (name: string) => Number(new RegExp(`^ +${name}: (\\d+)$`, 'm').exec(text)![1])
  // Patroni's documentation, "Dynamic configuration settings": loop_wait + 2 × retry_timeout ≤ ttl.
  expect(seconds('loop_wait') + 2 * seconds('retry_timeout')).toBeLessThanOrEqual(seconds('ttl'))
})

it('nobody can change the leader without the password, and etcd lets Patroni connect', () => {
  expect(filled('patroni.yml', node)).toMatch(/^ +authentication: \{ username: esfuerzo, password: 'not-a-secret' \}$/m)
  const etcd = { name: 'db1', host: '10.0.0.1', client: 2379, peer: 2380, folder: '/var/lib/etcd/esfuerzo' }
  const members = 'db1=http://10.0.0.1:2380'
  // Observed in etcd 3.4: with a configuration file, that port is closed unless the file opens it, and Patroni gets 404.
  expect(filled('etcd.yml', { ...etcd, members })).toMatch(/^enable-grpc-gateway: true$/m)
})

it('of two proxies, the one that returns does not take the address from the other', () => {
  const text = filled('keepalived.conf', { interface: 'eth0', priority: 101, address: '10.0.0.20/24' })
  // man keepalived.conf, "nopreempt": it only works if the initial state is BACKUP.
  expect(text).toMatch(/^ +state BACKUP$/m)
  expect(text).toMatch(/^ +nopreempt$/m)
})

it('the proxy retries only requests that never left: a write is not sent twice', () => {
  const text = filled('haproxy.cfg', {
    host: '10.0.0.9',
    databasePort: 5432,
    pagesPort: 443,
    user: 'user haproxy',
    tls: 'ssl crt /etc/haproxy/esfuerzo.pem',
    databases: '',
    servers: '',
  })
  expect(/^ +retry-on (.+)$/m.exec(text)![1]).toBe('conn-failure')
  expect(text).toContain('on-marked-down shutdown-sessions')
})

it('no file for setting up machines names a registry, a password or a machine', () => {
  const folder = new URL('../../deploy/', import.meta.url)
  for (const name of readdirSync(folder)) {
    const text = readFileSync(new URL(name, folder), 'utf8')
    expect(text, name).not.toMatch(
      /docker\.io|npmjs|ghcr\.io|quay\.io|password: '?[a-z0-9]|\b(?!0\.0\.0\.0)\d+\.\d+\.\d+\.\d+/i,
    )
  }
})
