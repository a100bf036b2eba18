import vue from '@vitejs/plugin-vue'
import { defineConfig } from 'vite'
import { devProxy } from './devProxy.ts'
import vuetify from 'vite-plugin-vuetify'

export default defineConfig({
  root: 'teacher',
  // In development: a place of its own beside the family's, and no page loaded anew for each component first met.
  cacheDir: '../../.cache/vite-teacher',
  optimizeDeps: { exclude: ['vuetify'] },
  plugins: [vue(), vuetify({ autoImport: true })],
  worker: { format: 'es' },
  server: devProxy(['/api', '/snapshots', '/schemas', '/healthz', '/go']),
  build: { outDir: '../dist/teacher', emptyOutDir: true, chunkSizeWarningLimit: 900 },
})
