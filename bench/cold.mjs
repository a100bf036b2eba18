// What the composer requests on a device that has never opened it: number of requests, kilobytes transferred, and when its first row is
// painted. Also on a slow line: 100 ms round trip, 4 Mbit/s. Goals: at most 20 requests and 400 kB.
import { readFileSync } from 'node:fs'
import { openTeacherPage } from './teacherPage.mjs'
import { at } from './share.mjs'

const session = JSON.parse(readFileSync(new URL('sessions/sixty-stations.json', import.meta.url), 'utf8'))
const lines = {
  'as it is here': undefined,
  'a slow line': { offline: false, latency: 100, downloadThroughput: 500_000, uploadThroughput: 250_000 },
}
const { page, context, url, close } = await openTeacherPage()
try {
  const id = await page.evaluate(async (document) => {
    const headers = { 'content-type': 'application/json' }
    const answer = await fetch('/api/workouts', { method: 'POST', headers, body: JSON.stringify({ document }) })
    return (await answer.json()).id
  }, session)
  for (const [name, line] of Object.entries(lines)) {
    const found = []
    for (let i = 0; i < 5; i++) {
      const cold = await context.newPage()
      const devtools = await context.newCDPSession(cold)
      await devtools.send('Network.enable')
      await devtools.send('Network.setCacheDisabled', { cacheDisabled: true })
      if (line) await devtools.send('Network.emulateNetworkConditions', line)
      let [requests, bytes] = [0, 0]
      devtools.on('Network.requestWillBeSent', () => requests++)
      devtools.on('Network.loadingFinished', ({ encodedDataLength }) => (bytes += encodedDataLength))
      const began = performance.now()
      await cold.goto(`${url}/sessions/${id}`, { waitUntil: 'commit' })
      await cold.locator('.row.station').first().waitFor()
      const first = performance.now() - began
      await cold.waitForLoadState('networkidle')
      found.push({ requests, kB: bytes / 1000, first })
      await cold.close()
    }
    const median = (key) =>
      at(
        found.map((f) => f[key]),
        0.5,
      )
    console.log(
      `composer cold, ${name}: ${median('requests')} requests (goal ≤ 20), ${median('kB').toFixed(0)} kB (goal ≤ 400), ` +
        `first row after ${median('first').toFixed(0)} ms`,
    )
  }
} finally {
  await close()
}
