import vue from '@vitejs/plugin-vue'
import { defineConfig } from 'vite'
import { compressed } from './compressed.ts'
import { devProxy } from './devProxy.ts'
import { VitePWA } from 'vite-plugin-pwa'

export default defineConfig({
  root: 'family',
  cacheDir: '../../.cache/vite-family',
  base: '/go/',
  // Left out of what a phone has to fetch: nothing here is inspected or written the old way.
  define: {
    __VUE_OPTIONS_API__: false,
    __VUE_PROD_DEVTOOLS__: false,
  },
  plugins: [
    vue(),
    compressed(),
    VitePWA({
      // The page registers it itself, so that an update can wait until no session runs.
      injectRegister: false,
      registerType: 'prompt',
      scope: '/go/',
      manifest: {
        name: 'Esfuerzo at home',
        short_name: 'Esfuerzo',
        description: 'Fitness sessions from school, at home',
        lang: 'en',
        start_url: '/go/',
        scope: '/go/',
        display: 'standalone',
        background_color: '#F6F1E7',
        theme_color: '#F6F1E7',
        icons: [{ src: 'icon.svg', sizes: 'any', type: 'image/svg+xml', purpose: 'any' }],
      },
      workbox: {
        globPatterns: ['index.html', 'icon.svg', 'assets/*.{js,css}', 'assets/*latin-{400,700,wght}*.woff2'],
        navigateFallback: '/go/index.html',
        // A first visit is served by it at once, so that what loads later comes from here too.
        clientsClaim: true,
        skipWaiting: false,
        cleanupOutdatedCaches: false,
      },
    }),
  ],
  // Its pages are reached through the teacher's, which hands on all that is not theirs.
  server: devProxy(['/api', '/snapshots']),
  build: { outDir: '../dist/family', emptyOutDir: true, manifest: true },
})
