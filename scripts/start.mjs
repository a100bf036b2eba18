// npm start: installs what is missing, starts the database, migrates, adds the demo, builds, serves.
import { spawn } from 'node:child_process'
import { dirname, join } from 'node:path'
import { fileURLToPath } from 'node:url'
import { installationSecret, openCluster } from './database.mjs'
import { giveUp, say } from './machine.mjs'
import { needPackages } from './packages.mjs'
import { needBuild } from './build.mjs'
import { freePort, isFree } from './ports.mjs'
import { serverEnvironment, serverWords } from './serverEnvironment.mjs'

const root = dirname(dirname(fileURLToPath(import.meta.url)))
const known = new Set(['--fresh'])
const flags = new Set(process.argv.slice(2))
for (const flag of flags)
  if (!known.has(flag)) giveUp(`"${flag}" is not known here. There is:  npm start -- --fresh  (starts the demo over)`)

needPackages(root)
needBuild(root)

let cluster
if (process.env.DATABASE_URL) {
  say('using the database named by DATABASE_URL')
  if (flags.has('--fresh')) giveUp('--fresh would empty the database named by DATABASE_URL; that is left to you.')
} else {
  say(flags.has('--fresh') ? 'starting the database over …' : 'starting the database …')
  cluster = await openCluster(join(root, '.data', 'postgres'), { durable: true, fresh: flags.has('--fresh') })
  await cluster.create('esfuerzo')
}

const wanted = Number(process.env.PORT ?? 4180)
let port = wanted
if (!(await isFree(wanted))) {
  port = await freePort(wanted + 1)
  say(`port ${wanted} is taken; using ${port}`)
}

const environment = serverEnvironment(process.env, {
  privateUrl: cluster?.url(),
  secret: installationSecret(join(root, '.data', 'secret')),
  port,
})
const server = spawn(process.execPath, serverWords, {
  cwd: root,
  stdio: ['ignore', 'inherit', 'inherit', 'ipc'],
  env: environment,
})
server.on('message', ({ listening, demo, outboxKey }) => {
  if (listening === undefined) return
  const at = `http://${environment.HOST ?? '127.0.0.1'}:${listening}`
  const sign = `
  Demo sign-in:   marisol@island.example
  Password:       ferry-on-monday
  Messages:       ${at}/outbox?key=${outboxKey}
`
  console.log(`
  Esfuerzo is at  ${environment.PUBLIC_ORIGIN ?? at}
${demo ? sign : ''}
  Ctrl-C stops everything.
`)
})

let stopping = false
function stop() {
  if (stopping) return
  stopping = true
  clearInterval(watch)
  say('stopping …')
  // The server finishes running requests; the database stops after it.
  server.kill('SIGTERM')
}
process.on('SIGINT', stop)
process.on('SIGTERM', stop)
process.on('SIGHUP', stop)

// A dead database is restarted; the server reconnects by itself.
let reviving = false
const watch = setInterval(async () => {
  if (!cluster || stopping || reviving || (await cluster.isRunning())) return
  reviving = true
  say('the database has stopped; starting it again …')
  try {
    await cluster.start()
    say('the database is back')
  } catch (error) {
    say(`the database could not be started: ${error.message}\n  its own words are in ${cluster.log}; it is tried again`)
  }
  reviving = false
}, 2000)

server.on('exit', async (code) => {
  clearInterval(watch)
  await cluster?.stop().catch((error) => console.error(String(error.message)))
  if (!stopping && code) console.error('The server stopped by itself; its own words are above.')
  process.exit(stopping ? 0 : (code ?? 1))
})
