/** The words of a PDF, line by line and page by page. */
export async function pdfTexts(pdf: Uint8Array): Promise<string[]> {
  const { getDocument } = await import('pdfjs-dist/legacy/build/pdf.mjs')
  const document = await getDocument({ data: new Uint8Array(pdf) }).promise
  const texts: string[] = []
  for (let n = 1; n <= document.numPages; n++) {
    const { items } = await (await document.getPage(n)).getTextContent()
    texts.push(...items.map((item) => ('str' in item ? item.str.trim() : '')).filter(Boolean))
  }
  return texts
}
