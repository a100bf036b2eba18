/** Downloads bytes or text as a file. @param type its MIME type */
export function saveContent(name: string, content: BlobPart, type: string): void {
  const url = URL.createObjectURL(new Blob([content], { type }))
  const link = document.createElement('a')
  link.href = url
  link.download = name
  link.click()
  URL.revokeObjectURL(url)
}

/** Downloads a document as a JSON file. */
export const saveFile = (name: string, document_: unknown): void =>
  saveContent(name, `${JSON.stringify(document_, null, 1)}\n`, 'application/json')
