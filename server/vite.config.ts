import { defineConfig } from 'vite'

/** The server in one file: it starts in a fraction of the time its many TypeScript files take. Packages stay outside. */
export default defineConfig({
  build: {
    ssr: 'src/main.ts',
    outDir: 'dist/bundle',
    emptyOutDir: true,
    target: 'node20',
    sourcemap: true,
    minify: false,
  },
  ssr: { noExternal: [/^@esfuerzo\//] },
})
