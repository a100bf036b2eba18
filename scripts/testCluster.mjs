// A throw-away PostgreSQL for tests, shared by the server's and the browser's tests.
import { dirname, join } from 'node:path'
import { fileURLToPath } from 'node:url'
import { openCluster } from './database.mjs'

const root = dirname(dirname(fileURLToPath(import.meta.url)))

/** @param {string} name of the cluster's folder, so that two kinds of test never use the same one */
export const testCluster = (name) =>
  openCluster(join(root, '.cache', `postgres-${name}`), { durable: false, fresh: true })
