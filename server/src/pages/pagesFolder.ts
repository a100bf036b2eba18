import { fileURLToPath } from 'node:url'

/**
 * Where the pages are built to. Files next to the code are addressed from modules two folders below the workspace, so that the path is the
 * same from here and from the built server (`dist/bundle`).
 */
export const pagesFolder = fileURLToPath(new URL('../../../web/dist', import.meta.url))
