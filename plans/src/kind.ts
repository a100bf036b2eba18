import { refused } from './bounds.ts'

/** The kinds of files a plan can be read from. */
export const planKinds = ['docx', 'odt', 'pdf', 'xlsx', 'csv', 'html', 'md', 'txt'] as const
export type PlanKind = (typeof planKinds)[number]

/** Kinds that are recognized but cannot be opened, with the format a word processor could save instead. */
const others = /\.(doc|dot|rtf|pages|numbers|key|ods|xls|ppt|pptx|odp|epub|wps|docm|xlsm)$/i
const pictures = /\.(png|jpe?g|gif|heic|heif|webp|bmp|tiff?|svg)$/i

const starts = (bytes: Uint8Array, ...head: readonly number[]): boolean => head.every((byte, i) => bytes[i] === byte)
const ascii = (text: string): number[] => [...text].map((c) => c.charCodeAt(0))
/** The first bytes of pictures (PNG, JPEG, GIF; RIFF and ISO media have theirs a little later). */
const pictureHeads = [[0x89, ...ascii('PNG')], [0xff, 0xd8, 0xff], ascii('GIF8'), ascii('BM')]

const isPicture = (bytes: Uint8Array): boolean =>
  pictureHeads.some((head) => starts(bytes, ...head)) ||
  (starts(bytes, ...ascii('RIFF')) && starts(bytes.subarray(8), ...ascii('WEBP'))) ||
  /^ftyp(?:heic|heix|mif1|avif)/.test(String.fromCharCode(...bytes.subarray(4, 12)))

/**
 * A file's kind, by its first bytes rather than by its name; the name distinguishes kinds of text.
 *
 * @returns `zip` for a packed file: its contents decide the kind
 * @throws {ProblemError} `file-kind` or `file-picture` for a kind that cannot be read, `file-locked` for a file with a password
 */
export function kindOf(bytes: Uint8Array, name: string): Exclude<PlanKind, 'docx' | 'odt' | 'xlsx'> | 'zip' {
  const extension = /\.([a-z0-9]+)$/i.exec(name)?.[1]?.toLowerCase() ?? ''
  if (isPicture(bytes) || pictures.test(name)) throw refused('file-picture', name)
  // Office files from before 2007 start this way, and so do encrypted ones, whose text is packed in one.
  if (starts(bytes, 0xd0, 0xcf, 0x11, 0xe0))
    throw /x$/.test(extension)
      ? refused('file-locked', name)
      : refused('file-kind', name, kindFacts(extension || 'doc'))
  if (starts(bytes, ...ascii('{\\rtf'))) throw refused('file-kind', name, kindFacts('rtf'))
  // A mark may come before it: https://www.iso.org/standard/75839.html, 7.5.2 lets readers search the first bytes.
  if (/%PDF-\d/.test(String.fromCharCode(...bytes.subarray(0, 1024)))) return 'pdf'
  if (starts(bytes, ...ascii('PK'))) return 'zip'
  if (others.test(name)) throw refused('file-kind', name, kindFacts(extension))
  if (extension === 'csv' || extension === 'tsv') return 'csv'
  if (extension === 'md' || extension === 'markdown') return 'md'
  const head = new TextDecoder().decode(bytes.subarray(0, 400))
  return /^\s*(?:\ufeff)?<(?:!doctype html|html|head|body|table|meta|div|p|ul|h\d)\b/i.test(head) ||
    /^html?$/.test(extension)
    ? 'html'
    : 'txt'
}

/** What was found and what would work. */
export const kindFacts = (extension: string) => ({
  received: `.${extension}`,
  expected: { oneOf: planKinds.map((kind) => `.${kind}`) },
})
