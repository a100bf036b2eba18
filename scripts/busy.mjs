// npm run test:busy [-- PART …]: runs npm test, or a part of it, beside eight busy processes. No test may depend on the machine's speed.
import { spawn } from 'node:child_process'
import { dirname, join } from 'node:path'
import { fileURLToPath } from 'node:url'
import { say } from './machine.mjs'

const root = dirname(dirname(fileURLToPath(import.meta.url)))
/** How many processes run beside the tests, and how much longer every wait is. */
const [busy, patience] = [8, 10]

const hogs = Array.from({ length: busy }, () => spawn(process.execPath, ['-e', 'for (;;);'], { stdio: 'ignore' }))
const stop = () => hogs.forEach((hog) => hog.kill('SIGKILL'))
process.on('exit', stop)
for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, () => process.exit(1))
say(`${busy} busy processes beside the tests`)
const tests = spawn(process.execPath, [join(root, 'scripts', 'test.mjs'), ...process.argv.slice(2)], {
  cwd: root,
  stdio: 'inherit',
  env: { ...process.env, PATIENCE: String(patience) },
})
tests.on('close', (code) => {
  stop()
  process.exit(code ?? 1)
})
