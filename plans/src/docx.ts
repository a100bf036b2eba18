import { zipSync } from 'fflate'
import type { PlanBlock } from '@esfuerzo/core/oldPlans'
import { planBounds, refused } from './bounds.ts'
import { blocksOfHtml } from './html.ts'
import { withoutEntities } from './xml.ts'

/** Parts of a document that its text is made of; pictures, fonts, themes, programs are none. */
export const docxParts =
  /^(?:\[Content_Types\]\.xml|_rels\/\.rels|word\/(?:_rels\/document\.xml\.rels|(?:document|styles|numbering|footnotes|endnotes|comments)\.xml))$/

/**
 * How its words look, where the writer's cursor was, what its spelling said: most of a document, and none of its text. A package that
 * makes a tree of all of it takes some hundred times its length.
 */
const looks =
  /<w:rPr>.*?<\/w:rPr>|<w:(?:rPr|proofErr|bookmarkStart|bookmarkEnd|lastRenderedPageBreak|spacing|ind|jc|noProof)\b[^<>]*\/>| w:rsid\w*="[^"]*"/gs

/** @throws {ProblemError} `file-too-big` where more is left than a document of fifty pages has */
function withoutLooks(bytes: Uint8Array, name: string): Uint8Array {
  const text = new TextDecoder().decode(bytes).replace(looks, '')
  if (text.length > planBounds.docx)
    throw refused('file-too-big', name, { expected: { atMost: planBounds.docx / 1024 / 1024, of: 'MiB' } })
  return new TextEncoder().encode(text)
}

/** What styles come to: a title over headings, quotations as ours are written. */
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
 * @throws {ProblemError} `file-broken`, `file-kind` where it brings programs along
 */
export async function blocksOfDocx(parts: ReadonlyMap<string, Uint8Array>, name: string): Promise<PlanBlock[]> {
  const read = (part: string, bytes: Uint8Array) =>
    part === 'word/document.xml' ? withoutLooks(withoutEntities(bytes, name), name) : withoutEntities(bytes, name)
  const small = zipSync(Object.fromEntries([...parts].map(([part, bytes]) => [part, read(part, bytes)])))
  const { default: mammoth } = await import('mammoth')
  let pictures = 0
  try {
    // In a page it wants the one, elsewhere the other.
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
