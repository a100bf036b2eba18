/** Hands a document to the browser as a JSON file to keep. */
export function saveFile(name: string, document_: unknown): void {
  const url = URL.createObjectURL(new Blob([`${JSON.stringify(document_, null, 1)}\n`], { type: 'application/json' }))
  const link = document.createElement('a')
  link.href = url
  link.download = name
  link.click()
  URL.revokeObjectURL(url)
}
