import vue from '@vitejs/plugin-vue'
import { defineConfig } from 'vite'
import { compressed } from './compressed.ts'
import { devProxy } from './devProxy.ts'
import { VitePWA } from 'vite-plugin-pwa'

export default defineConfig({
  root: 'family',
  cacheDir: '../../.cache/vite-family',
  base: '/go/',
  // Left out of a phone's download: nothing here is inspected or uses the old API.
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
        // It controls the first visit at once, so that files loaded later also go through it.
        clientsClaim: true,
        skipWaiting: false,
        cleanupOutdatedCaches: false,
      },
    }),
  ],
  // Its pages are reached through the teacher's server, which passes on everything that is not its own.
  server: devProxy(['/api', '/snapshots']),
  build: { outDir: '../dist/family', emptyOutDir: true, manifest: true },
})
