import { zipSync } from 'fflate'
import type { PlanBlock } from '@esfuerzo/core/oldPlans'
import { refused } from './bounds.ts'
import { blocksOfHtml } from './html.ts'
import { withoutEntities } from './xml.ts'

/** Parts of a document that its text is made of; pictures, fonts, themes, programs are none. */
export const docxParts =
  /^(?:\[Content_Types\]\.xml|_rels\/\.rels|word\/(?:_rels\/document\.xml\.rels|(?:document|styles|numbering|footnotes|endnotes|comments)\.xml))$/

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
  const small = zipSync(Object.fromEntries([...parts].map(([part, bytes]) => [part, withoutEntities(bytes, name)])))
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
