import { zipSync } from 'fflate'
import type { PlanBlock } from '@esfuerzo/core/oldPlans'
import { planBounds, refused } from './bounds.ts'
import { blocksOfHtml } from './html.ts'
import { withoutEntities } from './xml.ts'

/** The parts of a document that contain its text; pictures, fonts, themes and macros are not among them. */
export const docxParts =
  /^(?:\[Content_Types\]\.xml|_rels\/\.rels|word\/(?:_rels\/document\.xml\.rels|(?:document|styles|numbering|footnotes|endnotes|comments)\.xml))$/

/**
 * Formatting, cursor position, spelling marks: most of a document, and none of its text. A package that builds a tree of all of it needs
 * about a hundred times its length.
 */
const looks =
  /<w:rPr>.*?<\/w:rPr>|<w:(?:rPr|proofErr|bookmarkStart|bookmarkEnd|lastRenderedPageBreak|spacing|ind|jc|noProof)\b[^<>]*\/>| w:rsid\w*="[^"]*"/gs

/** @throws {ProblemError} `file-too-big` if more is left than a document of fifty pages has */
function withoutLooks(bytes: Uint8Array, name: string): Uint8Array {
  const text = new TextDecoder().decode(bytes).replace(looks, '')
  if (text.length > planBounds.docx)
    throw refused('file-too-big', name, { expected: { atMost: planBounds.docx / 1024 / 1024, of: 'MiB' } })
  return new TextEncoder().encode(text)
}

/** The meaning of styles: a title above headings, quotations as ours are written. */
const styleMap = [
  "p[style-name='Title'] => h1:fresh",
  "p[style-name='Subtitle'] => p:fresh",
  ...[1, 2, 3, 4, 5].map((n) => `p[style-name='heading ${n}'] => h${n + 1}:fresh`),
  ...[1, 2, 3, 4, 5].map((n) => `p[style-name='Heading ${n}'] => h${n + 1}:fresh`),
  "p[style-name='Quote'] => blockquote > p:fresh",
  "p[style-name='Intense Quote'] => blockquote > p:fresh",
]

/**
 * The pieces of a word processor's document (ECMA-376).
 *
 * @throws {ProblemError} `file-broken`, `file-kind` if it contains macros
 */
export async function blocksOfDocx(parts: ReadonlyMap<string, Uint8Array>, name: string): Promise<PlanBlock[]> {
  const read = (part: string, bytes: Uint8Array) =>
    part === 'word/document.xml' ? withoutLooks(withoutEntities(bytes, name), name) : withoutEntities(bytes, name)
  const small = zipSync(Object.fromEntries([...parts].map(([part, bytes]) => [part, read(part, bytes)])))
  const { default: mammoth } = await import('mammoth')
  let pictures = 0
  try {
    // In a browser the library needs one form, elsewhere the other.
    const input = { arrayBuffer: small.buffer as ArrayBuffer, buffer: small as Buffer }
    const { value } = await mammoth.convertToHtml(input, {
      styleMap,
      includeDefaultStyleMap: true,
      convertImage: mammoth.images.imgElement(async () => ({ src: `picture ${++pictures}` })),
    })
    return blocksOfHtml(value)
  } catch (cause) {
    throw refused('file-broken', name, { cause })
  }
}
