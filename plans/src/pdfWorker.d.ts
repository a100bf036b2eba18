// The package says nothing of it: it puts itself where its other half looks for it.
declare module 'pdfjs-dist/legacy/build/pdf.worker.mjs'
