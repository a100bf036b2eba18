import { limits } from '@esfuerzo/core'
import { planText, sessionsIn, type PlanBlock } from '@esfuerzo/core/oldPlans'
import { planBounds, refused } from './bounds.ts'
import { decoded } from './decoded.ts'
import { kindFacts, kindOf, type PlanKind } from './kind.ts'
import { unpack } from './unpack.ts'

/** What was read from a file. */
export interface ReadPlan {
  kind: PlanKind
  /** A text as a teacher would have typed it, for each session in the file. */
  texts: string[]
  /** Pictures, which are not read: their names, or a generic name. */
  pictures: string[]
  /** Lines at the top or bottom of several pages, which belong to no session. */
  repeated: string[]
  /** It had more lines than are read. */
  cut: boolean
}

type Found = { kind: PlanKind; parts: PlanBlock[][]; pictures?: string[]; repeated?: string[] }

/** An archive that is one of the known documents, by its contents. */
async function packed(bytes: Uint8Array, name: string): Promise<Found> {
  const { docxParts, blocksOfDocx } = await import('./docx.ts')
  const { xlsxParts, sheetsOfXlsx } = await import('./xlsx.ts')
  const wanted = (part: string) =>
    docxParts.test(part) || xlsxParts.test(part) || /^(?:mimetype|content\.xml|META-INF\/manifest\.xml)$/.test(part)
  const { parts, names } = unpack(bytes, name, wanted)
  const partsLike = (pattern: RegExp) => new Map([...parts].filter(([part]) => pattern.test(part)))
  const pictures = names
    .filter((n) => /(?:^|\/)(?:media|Pictures)\/[^/]+\.\w+$/i.test(n))
    .map((n) => n.split('/').at(-1)!)
  if (names.some((n) => /vbaProject\.bin$/i.test(n)))
    throw refused('file-kind', name, kindFacts(parts.has('xl/workbook.xml') ? 'xlsm' : 'docm'))
  if (parts.has('word/document.xml'))
    return { kind: 'docx', parts: [await blocksOfDocx(partsLike(docxParts), name)], pictures }
  if (parts.has('xl/workbook.xml'))
    return { kind: 'xlsx', parts: await sheetsOfXlsx(partsLike(xlsxParts), name), pictures }
  const content = parts.get('content.xml')
  const text = (part: string) => new TextDecoder().decode(parts.get(part) ?? new Uint8Array())
  if (content && /opendocument\.text/.test(text('mimetype') || text('META-INF/manifest.xml'))) {
    if (/encryption-data/.test(text('META-INF/manifest.xml'))) throw refused('file-locked', name)
    const { blocksOfOdt } = await import('./odt.ts')
    return { kind: 'odt', parts: [blocksOfOdt(content, name)], pictures }
  }
  const inside = content ? 'ods' : names.some((n) => n.startsWith('ppt/')) ? 'pptx' : 'zip'
  throw refused('file-kind', name, kindFacts(/\.(\w+)$/.exec(name)?.[1]?.toLowerCase() === 'zip' ? 'zip' : inside))
}

async function found(bytes: Uint8Array, name: string): Promise<Found | { kind: PlanKind; text: string }> {
  const kind = kindOf(bytes, name)
  if (kind === 'zip') return packed(bytes, name)
  if (kind === 'pdf') {
    const { pagesOfPdf } = await import('./pdf.ts')
    const { blocksOfPages } = await import('./pdfLines.ts')
    const { pages, pictures } = await pagesOfPdf(bytes, name)
    const { blocks, repeated } = blocksOfPages(pages)
    return { kind, parts: [blocks], repeated, pictures: Array.from({ length: pictures }, (_, i) => `${i + 1}`) }
  }
  const text = decoded(bytes)
  if (text.includes('\u0000')) throw refused('file-kind', name, kindFacts(/\.(\w+)$/.exec(name)?.[1] ?? '?'))
  if (kind === 'html') {
    const { blocksOfHtml } = await import('./html.ts')
    return { kind, parts: [blocksOfHtml(text)] }
  }
  if (kind === 'csv') {
    const { separated } = await import('./separated.ts')
    const { blocksOfRows } = await import('./xlsx.ts')
    const rows = separated(text)
    if (rows.length > planBounds.rows)
      throw refused('file-too-big', name, {
        expected: { atMost: planBounds.rows, of: 'lines' },
        received: { count: rows.length, of: 'lines' },
      })
    return { kind, parts: [blocksOfRows(rows)] }
  }
  if (/<text:p\b/.test(text) && /<office:document\b/.test(text)) {
    const { blocksOfOdt } = await import('./odt.ts')
    return { kind: 'odt', parts: [blocksOfOdt(bytes, name)] }
  }
  return { kind, text }
}

/**
 * Reads an old plan: a document, a spreadsheet, a page, a text. A file that cannot be opened is refused as a whole.
 *
 * @param bytes of the file
 * @param name of the file: it distinguishes kinds of text, and is used in messages
 * @throws {ProblemError} a code that starts with `file-`, at the file's name
 */
export async function readPlan(bytes: Uint8Array, name: string): Promise<ReadPlan> {
  if (bytes.length > planBounds.bytes)
    throw refused('file-too-big', name, { expected: { atMost: planBounds.bytes / 1024 / 1024, of: 'MiB' } })
  const read = await found(bytes, name)
  const pictures =
    'text' in read
      ? []
      : [
          ...(read.pictures ?? []),
          ...read.parts
            .flat()
            .flatMap((b) => (b.kind === 'picture' && b.name && !read.pictures?.length ? [b.name] : [])),
        ]
  const whole = 'text' in read ? [read.text] : read.parts.flatMap(sessionsIn).map(planText)
  // A plain text is accepted at any length; a document with more than this is a book.
  const most = 'text' in read ? limits.lines : planBounds.lines
  const texts = whole.map((text) => text.split('\n').slice(0, most).join('\n')).filter((text) => text.trim())
  if (!texts.length)
    throw refused('file-empty', name, pictures.length ? { received: { count: pictures.length, of: 'pictures' } } : {})
  return {
    kind: read.kind,
    texts,
    pictures: [...new Set(pictures)],
    repeated: 'text' in read ? [] : (read.repeated ?? []),
    cut: whole.some((text) => text.trimEnd().split('\n').length > most),
  }
}
