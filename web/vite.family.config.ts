import vue from '@vitejs/plugin-vue'
import { defineConfig } from 'vite'

export default defineConfig({
  root: 'family',
  base: '/go/',
  plugins: [vue()],
  build: { outDir: '../dist/family', emptyOutDir: true },
})
