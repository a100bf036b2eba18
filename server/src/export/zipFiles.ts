import { once } from 'node:events'
import { Readable, type Writable } from 'node:stream'
import { ZipArchive } from 'archiver'

/** A file on its way into a zip. */
export interface ZippedFile {
  name: string
  /** Its text, piece by piece, made on demand. */
  text: AsyncIterable<string> | Iterable<string>
}

/**
 * Writes files as one zip, each when the one before is out: of all of them there is a piece or two in memory at a time, however slow
 * whoever reads. Where that one goes away the rest is not made.
 *
 * @throws what making a file threw; `into` has then no end, and is to be destroyed so that nobody takes it for whole
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
      // What making it threw comes by the source alone.
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
