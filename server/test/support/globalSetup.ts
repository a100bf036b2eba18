import type { TestProject } from 'vitest/node'
import { needBuild } from '../../../scripts/build.mjs'
import { root } from '../../../scripts/stack.mjs'
import { testCluster } from '../../../scripts/testCluster.mjs'

declare module 'vitest' {
  interface ProvidedContext {
    databaseUrl: string
  }
}

/** A real PostgreSQL for the server's tests, on loopback, discarded afterwards. */
export default async function setup(project: TestProject) {
  // One test starts the built server.
  needBuild(root)
  const cluster = await testCluster('server')
  await cluster.create('esfuerzo')
  project.provide('databaseUrl', cluster.url())
  return () => cluster.stop('immediate')
}
