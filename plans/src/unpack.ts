import { ProblemError } from '@esfuerzo/core'
import { Unzip, UnzipInflate, type UnzipFile } from 'fflate'
import { planBounds, refused } from './bounds.ts'

/** So much of a packed file is pushed at once, so that a bomb is seen while it goes off. */
const slice = 16 * 1024

/**
 * What is packed in a file, counted while it is unpacked: what an archive says of itself is not believed.
 *
 * @param wanted whether a part is to be read; all are counted
 * @returns the parts that are wanted, and all names
 * @throws {ProblemError} `file-too-big`, `file-locked`, `file-broken`
 */
export function unpack(
  bytes: Uint8Array,
  name: string,
  wanted: (part: string) => boolean,
): { parts: Map<string, Uint8Array>; names: string[] } {
  const parts = new Map<string, Uint8Array>()
  const names: string[] = []
  let unpacked = 0
  const tooBig = (atMost: number) =>
    refused('file-too-big', name, { expected: { atMost: atMost / 1024 / 1024, of: 'MiB' } })
  // What is thrown while it unpacks comes back as an error of the unpacking.
  const asRefused = (error: unknown): Error =>
    error instanceof ProblemError ? error : refused('file-broken', name, { cause: error })
  const onFile = (file: UnzipFile) => {
    names.push(file.name)
    if (names.length > planBounds.entries)
      throw refused('file-too-big', name, { expected: { atMost: planBounds.entries, of: 'entries' } })
    // What is not wanted is passed over without being unpacked; a name that climbs is nobody's part.
    if (!wanted(file.name) || file.name.split(/[\\/]/).includes('..')) return
    const chunks: Uint8Array[] = []
    let size = 0
    file.ondata = (error, chunk, final) => {
      if (error) throw asRefused(error)
      size += chunk.length
      unpacked += chunk.length
      if (size > planBounds.part) throw tooBig(planBounds.part)
      if (unpacked > planBounds.unpacked) throw tooBig(planBounds.unpacked)
      chunks.push(chunk)
      if (final) parts.set(file.name, joined(chunks, size))
    }
    file.start()
  }
  // A part that needs a password says so in its head: general purpose bit 0, APPNOTE.TXT 4.4.4.
  if (bytes.length > 8 && bytes[0] === 0x50 && bytes[2] === 0x03 && (bytes[6]! & 1) === 1)
    throw refused('file-locked', name)
  const unzip = new Unzip(onFile)
  unzip.register(UnzipInflate)
  try {
    for (let at = 0; at < bytes.length; at += slice)
      unzip.push(bytes.subarray(at, at + slice), at + slice >= bytes.length)
  } catch (error) {
    throw asRefused(error)
  }
  return { parts, names }
}

function joined(chunks: readonly Uint8Array[], size: number): Uint8Array {
  const all = new Uint8Array(size)
  let at = 0
  for (const chunk of chunks) {
    all.set(chunk, at)
    at += chunk.length
  }
  return all
}
