// The package has no types for this: the module registers itself where the other half looks for it.
declare module 'pdfjs-dist/legacy/build/pdf.worker.mjs'
