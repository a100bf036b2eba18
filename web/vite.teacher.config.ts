import vue from '@vitejs/plugin-vue'
import { defineConfig } from 'vite'
import { compressed } from './compressed.ts'
import { devProxy } from './devProxy.ts'
import vuetify from 'vite-plugin-vuetify'

export default defineConfig({
  root: 'teacher',
  // In development: a port of its own next to the family's, and no page reload when a component is first used.
  cacheDir: '../../.cache/vite-teacher',
  optimizeDeps: { exclude: ['vuetify'] },
  plugins: [vue(), vuetify({ autoImport: true }), compressed()],
  worker: { format: 'es' },
  server: devProxy(['/api', '/snapshots', '/schemas', '/healthz', '/go']),
  build: {
    outDir: '../dist/teacher',
    emptyOutDir: true,
    chunkSizeWarningLimit: 900,
    cssCodeSplit: false,
    rolldownOptions: {
      output: {
        // A view is a handful of files: shared code is bundled together, not as dozens of small files.
        advancedChunks: {
          groups: [
            { name: 'charts', test: /node_modules[\\/](?:echarts|zrender|vue-echarts)/, priority: 30 },
            { name: 'vuetify', test: /node_modules[\\/]vuetify/, priority: 20 },
            { name: 'library-words', test: /[\\/]library[\\/]words/, priority: 16 },
            { name: 'library', test: /[\\/]library[\\/][^\\/]+(?:[\\/]|\.)/, priority: 15 },
            { name: 'core', test: /[\\/](?:core|contract)[\\/]src[\\/]|node_modules[\\/]zod/, priority: 10 },
            {
              name: 'frame',
              test: /node_modules[\\/](?:vue\b(?!-echarts)|@vue|vue-router|vue-i18n|pinia|@intlify|@vueuse|@atlaskit|@tanstack|bind-event-listener|raf-schd|node-diff3|idb-keyval|uuid|comlink)/,
              priority: 40,
            },
            {
              // The text editor is large and is loaded separately, when a text is opened.
              name: 'parts',
              test: /web[\\/]src[\\/](?:shared|words|settings|repertoire|signin|documents|reading[\\/](?![tT]extEditor)|runs|workers|compose[\\/](?:session|order[\\/]rows)|player[\\/]locales|forms[\\/]\w+[\\/](?:labels|summary))/,
              priority: 1,
            },
          ],
        },
      },
    },
  },
})
