import { promisify } from 'node:util'
import { strToU8, zip, type AsyncZippable } from 'fflate'

const zipped = promisify<AsyncZippable, Uint8Array>(zip)

/** Files by name as one zip. */
export const zipFiles = (files: Readonly<Record<string, string>>): Promise<Uint8Array> =>
  zipped(Object.fromEntries(Object.entries(files).map(([name, text]) => [name, strToU8(text)])))
