import { fileURLToPath } from 'node:url'
import vue from '@vitejs/plugin-vue'
import { defineConfig } from 'vite'

export default defineConfig({
  // A line break between two words in a page is a space, as it is in HTML: the formatter counts on it.
  plugins: [vue({ template: { compilerOptions: { whitespace: 'preserve' } } })],
  base: '/build/',
  publicDir: false,
  resolve: { alias: { '@': fileURLToPath(new URL('./front/src', import.meta.url)) } },
  build: {
    outDir: 'public/build',
    emptyOutDir: true,
    manifest: 'manifest.json',
    chunkSizeWarningLimit: 900,
    rolldownOptions: { input: 'front/src/main.ts' },
  },
})
