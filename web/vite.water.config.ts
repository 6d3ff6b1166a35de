import { fileURLToPath } from 'node:url'
import vue from '@vitejs/plugin-vue'
import { VitePWA } from 'vite-plugin-pwa'
import { defineConfig } from 'vite'

const from = (path: string) => fileURLToPath(new URL(path, import.meta.url))

/** The view at the water: one script, one style and the faces, so that it can be packed as one file
 * and kept whole by a service worker. */
export default defineConfig({
  root: from('./water'),
  base: '/water/',
  publicDir: false,
  plugins: [
    vue(),
    VitePWA({
      strategies: 'generateSW',
      filename: 'sw.js',
      injectRegister: false,
      registerType: 'autoUpdate',
      manifest: {
        name: 'Nine Knots at the water',
        short_name: 'At the water',
        description: 'The planned day, without a signal.',
        start_url: '/water/',
        scope: '/water/',
        display: 'standalone',
        background_color: '#ffffff',
        theme_color: '#ffffff',
        icons: [{ src: '/mark.svg', sizes: 'any', type: 'image/svg+xml', purpose: 'any' }],
      },
      workbox: {
        globPatterns: ['**/*.{html,js,css,woff2}'],
        navigateFallback: '/water/index.html',
        navigateFallbackAllowlist: [/^\/water\//],
        additionalManifestEntries: [{ url: '/mark.svg', revision: '1' }],
        inlineWorkboxRuntime: true,
        sourcemap: false,
      },
    }),
  ],
  resolve: { alias: { '@': from('./src'), '@generated': from('./generated') } },
  build: {
    outDir: from('./dist/water'),
    emptyOutDir: true,
    target: 'es2022',
    assetsInlineLimit: 0,
    cssCodeSplit: false,
    modulePreload: false,
  },
})
