import { ProblemError } from '@esfuerzo/core'
import { Unzip, UnzipInflate, type UnzipFile } from 'fflate'
import { planBounds, refused } from './bounds.ts'

/** How many bytes are unpacked at a time, so that a zip bomb is noticed early. */
const slice = 16 * 1024

/**
 * The contents of a packed file, counted while unpacking: the sizes an archive states are not trusted.
 *
 * @param wanted whether to read a part; all are counted
 * @returns the wanted parts, and all names
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
  // An exception while unpacking becomes an unpacking error.
  const asRefused = (error: unknown): Error =>
    error instanceof ProblemError ? error : refused('file-broken', name, { cause: error })
  const onFile = (file: UnzipFile) => {
    names.push(file.name)
    if (names.length > planBounds.entries)
      throw refused('file-too-big', name, { expected: { atMost: planBounds.entries, of: 'entries' } })
    // An unwanted part is skipped without unpacking; a path that climbs out of the archive is never a part.
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
  // A part that needs a password has a flag in its header: general purpose bit 0, APPNOTE.TXT 4.4.4.
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
