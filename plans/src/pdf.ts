import { ProblemError } from '@esfuerzo/core'
import { planBounds, refused } from './bounds.ts'
import type { PdfPage } from './pdfLines.ts'

/**
 * The text of a PDF (ISO 32000), page by page.
 *
 * @throws {ProblemError} `file-locked`, `file-broken`, `file-too-big`
 */
export async function pagesOfPdf(bytes: Uint8Array, name: string): Promise<{ pages: PdfPage[]; pictures: number }> {
  // This thread is the reader's worker: it is registered where the library looks for it.
  await import('pdfjs-dist/legacy/build/pdf.worker.mjs')
  const { getDocument, OPS, VerbosityLevel } = await import('pdfjs-dist/legacy/build/pdf.mjs')
  const task = getDocument({
    // A copy of exactly these bytes, because the library takes ownership.
    data: new Uint8Array(bytes),
    isEvalSupported: false,
    useSystemFonts: false,
    disableFontFace: true,
    useWorkerFetch: false,
    enableXfa: false,
    verbosity: VerbosityLevel.ERRORS,
  })
  try {
    const document = await task.promise
    if (document.numPages > planBounds.pages)
      throw refused('file-too-big', name, { expected: { atMost: planBounds.pages, of: 'pages' } })
    const pages: PdfPage[] = []
    let pictures = 0
    let pieces = 0
    for (let n = 1; n <= document.numPages; n++) {
      const page = await document.getPage(n)
      const { items } = await page.getTextContent()
      pieces += items.length
      if (pieces > planBounds.pieces)
        throw refused('file-too-big', name, { expected: { atMost: planBounds.pieces, of: 'entries' } })
      const { height } = page.getViewport({ scale: 1 })
      const texts = items.flatMap((item) => {
        if (!('str' in item)) return []
        const [a = 0, b = 0, , , x = 0, y = 0] = item.transform as number[]
        return [{ text: item.str, x, y, width: item.width, size: Math.hypot(a, b) || item.height }]
      })
      const { fnArray } = await page.getOperatorList()
      pictures += fnArray.filter((op) => op === OPS.paintImageXObject || op === OPS.paintInlineImageXObject).length
      pages.push({ height, texts })
      page.cleanup()
    }
    return { pages, pictures }
  } catch (cause) {
    if (cause instanceof ProblemError) throw cause
    if (cause instanceof Error && cause.name === 'PasswordException') throw refused('file-locked', name)
    throw refused('file-broken', name, { cause })
  } finally {
    await task.destroy()
  }
}
