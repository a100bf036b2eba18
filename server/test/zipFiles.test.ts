import { randomBytes } from 'node:crypto'
import { PassThrough, Writable } from 'node:stream'
import { strFromU8, unzipSync } from 'fflate'
import { expect, it } from 'vitest'
import { zipFiles, type ZippedFile } from '../src/export/zipFiles.ts'

async function* filesOf(...files: ZippedFile[]) {
  yield* files
}

/** What is written, put together. */
function collected() {
  const out = new PassThrough()
  const chunks: Buffer[] = []
  out.on('data', (chunk: Buffer) => chunks.push(chunk))
  return { out, bytes: () => Buffer.concat(chunks) }
}

it('is read by another program, in order, with any names and texts', async () => {
  const { out, bytes } = collected()
  const files = { 'a/ñandú.json': ['{', '"ü": "🏃"', '}'], 'empty.txt': [], 'b.csv': ['x'.repeat(300_000), '\r\n1,2'] }
  await zipFiles(filesOf(...Object.entries(files).map(([name, text]) => ({ name, text }))), out)
  const read = Object.entries(unzipSync(bytes())).map(([name, data]) => [name, strFromU8(data)])
  expect(read).toEqual(Object.entries(files).map(([name, text]) => [name, text.join('')]))
})

it('makes nothing before it can be sent: a slow reader delays the making, and one that goes away ends it', async () => {
  let made = 0
  async function* endless() {
    for (;;) yield { name: `${made++}.txt`, text: [randomBytes(50_000).toString('base64')] }
  }
  const stuck = new Writable({ write: () => {}, highWaterMark: 1000 })
  const zipping = zipFiles(endless(), stuck)
  let before = -1
  while (before !== made) {
    before = made
    await new Promise((resolve) => setTimeout(resolve, 100))
  }
  // About a mebibyte is buffered on the way.
  expect(made).toBeLessThan(60)
  stuck.destroy()
  await zipping
  expect(made).toBe(before)
})

it('has no end if making it failed, in a file or between two', async () => {
  async function* broken(): AsyncGenerator<string> {
    yield 'so far'
    throw new Error('no more')
  }
  async function* between(): AsyncGenerator<ZippedFile> {
    yield { name: 'a.txt', text: ['a'] }
    throw new Error('no more')
  }
  for (const files of [filesOf({ name: 'a.txt', text: broken() }), between()]) {
    const { out, bytes } = collected()
    await expect(zipFiles(files, out)).rejects.toThrow('no more')
    expect(out.writableEnded).toBe(false)
    expect(() => unzipSync(bytes())).toThrow()
  }
})

it('with more files than an old zip could hold is complete', async () => {
  const n = process.env.VERIFY ? 70_000 : 300
  const { out, bytes } = collected()
  async function* many() {
    for (let i = 0; i < n; i++) yield { name: `${i}.txt`, text: [String(i)] }
  }
  await zipFiles(many(), out)
  const files = unzipSync(bytes())
  expect(Object.keys(files)).toHaveLength(n)
  expect(strFromU8(files[`${n - 1}.txt`]!)).toBe(String(n - 1))
}, 900_000)
