// npm run dev: the server restarts on every change, Vite serves the pages with hot reload, on the demo's database.
import { spawn } from 'node:child_process'
import { dirname, join } from 'node:path'
import { fileURLToPath } from 'node:url'
import { installationSecret, openCluster } from './database.mjs'
import { say } from './machine.mjs'
import { needPackages } from './packages.mjs'
import { freePort } from './ports.mjs'
import { serverEnvironment } from './serverEnvironment.mjs'

const root = dirname(dirname(fileURLToPath(import.meta.url)))
needPackages(root)
say('starting the database …')
const cluster = await openCluster(join(root, '.data', 'postgres'), { durable: true })
await cluster.create('esfuerzo')
const [server, teacher, family] = [await freePort(4190), await freePort(5173), await freePort(5273)]
const origin = `http://127.0.0.1:${teacher}`

const children = []
const run = (title, command, args, env, cwd = root) => {
  const child = spawn(command, args, { cwd, stdio: 'inherit', env: { ...process.env, ...env } })
  child.on('exit', (code) => {
    if (!stopping && code) say(`${title} ended with ${code}`)
    stop()
  })
  children.push(child)
}
const secret = installationSecret(join(root, '.data', 'secret'))
run('the server', process.execPath, ['--watch', '--import', 'tsx', 'server/src/main.ts'], {
  ...serverEnvironment(process.env, { privateUrl: cluster.url(), secret, port: server }),
  NODE_ENV: 'development',
  // Pages are opened through Vite, and so are all their requests.
  PUBLIC_ORIGIN: origin,
  DEMO: 'true',
})
const vite = join(root, 'node_modules', '.bin', 'vite')
const pages = (name, port) =>
  run(
    `the ${name} pages`,
    vite,
    ['-c', `vite.${name}.config.ts`, '--port', String(port), '--strictPort', '--host', '127.0.0.1'],
    {
      ESFUERZO_SERVER: `http://127.0.0.1:${server}`,
      ESFUERZO_FAMILY: `http://127.0.0.1:${family}`,
      ESFUERZO_ORIGIN: origin,
    },
    join(root, 'web'),
  )
pages('family', family)
pages('teacher', teacher)
console.log(`
  Esfuerzo is at  ${origin}

  Demo sign-in:   marisol@island.example
  Password:       ferry-on-monday

  What is changed shows at once. Ctrl-C stops everything.
`)

let stopping = false
async function stop() {
  if (stopping) return
  stopping = true
  // The server disconnects before the database stops; after five seconds it is left behind.
  const gone = children.map((child) => new Promise((resolve) => child.once('exit', resolve)))
  for (const child of children) child.kill()
  await Promise.race([Promise.all(gone), new Promise((resolve) => setTimeout(resolve, 5000))])
  await cluster.stop().catch((error) => console.error(String(error.message)))
  process.exit(0)
}
for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP']) process.on(signal, stop)
