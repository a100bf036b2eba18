import { constants } from 'node:zlib'
import type { PluginOption } from 'vite'
import { compression, defineAlgorithm } from 'vite-plugin-compression2'

/** Files are compressed once, here, as much as possible; the server only sends them. */
export const compressed = (): PluginOption =>
  compression({
    include: /\.(?:js|css|svg)$/,
    threshold: 1000,
    algorithms: [
      defineAlgorithm('brotliCompress', { params: { [constants.BROTLI_PARAM_QUALITY]: 11 } }),
      defineAlgorithm('gzip', { level: 9 }),
    ],
  })
