// The baseline for the server's routes: the same middleware around one insert, two writes, or a file. Started by server.ts.
import { createServer } from 'node:http'
import type { AddressInfo } from 'node:net'
import compression from 'compression'
import express from 'express'
import helmet from 'helmet'
import { pino } from 'pino'
import { openDatabase } from '../server/src/base/database.ts'
import { requestLog } from '../server/src/http/logging.ts'
import { openMetrics } from '../server/src/metrics/metrics.ts'

const db = openDatabase(process.env.DATABASE_URL!)
const log = pino({ level: 'fatal' })
const metrics = openMetrics()
metrics.watchDatabase(db, { log, milliseconds: 500 })
await db.raw('create table if not exists bare_runs (id uuid primary key, document jsonb)')
await db.raw('create table if not exists bare_sessions (id uuid, document jsonb)')
const app = express()
app.disable('x-powered-by')
app.use(requestLog(log))
app.use(metrics.requests)
app.use(helmet())
app.use(compression())
app.use(express.json({ limit: 600_000 }))
app.post('/runs', async (req, res) => {
  const run = req.body as { id: string }
  await db('bare_runs').insert({ id: run.id, document: JSON.stringify(run) })
  res.json({ id: run.id })
})
app.put('/sessions', async (req, res) => {
  const { document } = req.body as { document: unknown }
  const text = JSON.stringify(document)
  const id = '00000000-0000-4000-8000-000000000000'
  await db.transaction(async (trx) => {
    await trx('bare_sessions').insert({ id, document: text })
    await trx('bare_sessions').insert({ id, document: text })
  })
  res.json({ id })
})
app.use('/file', express.static(process.env.FOLDER!, { maxAge: '1y', immutable: true }))
const server = createServer(app).listen(0, '127.0.0.1', () =>
  process.send?.({ port: (server.address() as AddressInfo).port }),
)
process.on('disconnect', () => process.exit(0))
