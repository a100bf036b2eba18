import { once } from 'node:events'
import { Readable, type Writable } from 'node:stream'
import { ZipArchive } from 'archiver'

/** A file to be written into a zip. */
export interface ZippedFile {
  name: string
  /** Its text, piece by piece, made on demand. */
  text: AsyncIterable<string> | Iterable<string>
}

/**
 * Writes files into one zip, each after the previous one is sent: only a piece or two are in memory at a time, however slow the reader. If
 * the reader goes away, the rest is not made.
 *
 * @throws what making a file threw; `into` then has no end and must be destroyed, so that nobody takes it for complete
 */
export async function zipFiles(files: AsyncIterable<ZippedFile>, into: Writable): Promise<void> {
  const zip = new ZipArchive()
  const gone = new AbortController()
  into.once('close', () => gone.abort())
  // An error is reported where it is awaited. A later one, when nobody waits any more, must not end the server.
  zip.on('error', () => {})
  zip.pipe(into)
  try {
    for await (const { name, text } of files) {
      const source = Readable.from(encoded(text), { highWaterMark: 1 })
      // Its error is already reported by the source.
      const failed = new Promise<never>((_, reject) => source.once('error', reject))
      const out = once(zip, 'entry', { signal: gone.signal })
      zip.append(source, { name })
      await Promise.race([out, failed])
    }
    await zip.finalize()
  } catch (error) {
    if (!gone.signal.aborted) throw error
  } finally {
    if (gone.signal.aborted) zip.abort()
  }
}

async function* encoded(text: ZippedFile['text']): AsyncGenerator<Buffer> {
  for await (const piece of text) yield Buffer.from(piece)
}
