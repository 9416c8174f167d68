import { fileURLToPath } from 'node:url'
import vue from '@vitejs/plugin-vue'
import { defineConfig } from 'vite'
import { VitePWA } from 'vite-plugin-pwa'

export default defineConfig({
  // A line break between two words in a page is a space, as it is in HTML: the formatter counts on it.
  plugins: [
    vue({ template: { compilerOptions: { whitespace: 'preserve' } } }),
    // Without signal the pages still open: their code is kept, and the shell as it came last.
    VitePWA({
      injectRegister: false,
      manifest: false,
      scope: '/',
      workbox: {
        globPatterns: ['**/*.{js,css,woff2}'],
        modifyURLPrefix: { '': '/build/' },
        navigateFallback: null,
        inlineWorkboxRuntime: true,
        skipWaiting: true,
        clientsClaim: true,
        additionalManifestEntries: [{ url: '/', revision: String(Date.now()) }],
        runtimeCaching: [
          {
            urlPattern: ({ request }) => request.mode === 'navigate',
            handler: 'NetworkOnly',
            options: { precacheFallback: { fallbackURL: '/' } },
          },
        ],
      },
    }),
  ],
  base: '/build/',
  // bin/dev: the pages come from the product behind, their code from here as it is written.
  server: {
    port: 5173,
    strictPort: true,
    host: '127.0.0.1',
    proxy: {
      '^/(?!build/)': {
        target: process.env.IRONWORT_BEHIND ?? 'http://127.0.0.1:8080',
        headers: { 'X-Ironwort-Dev': '1' },
      },
    },
  },
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
