import tailwindcss from '@tailwindcss/vite'
import react from '@vitejs/plugin-react'
import { VitePWA } from 'vite-plugin-pwa'
import { defineConfig } from 'vitest/config'
import { catalogue } from './catalogue.ts'

export default defineConfig({
  plugins: [
    catalogue(),
    react(),
    tailwindcss(),
    // The screens themselves are kept on the device, so that the round opens in a yard without signal.
    VitePWA({
      registerType: 'autoUpdate',
      manifest: {
        name: 'Vivid Crown',
        short_name: 'Vivid Crown',
        start_url: '/',
        display: 'standalone',
        background_color: '#f6f4ee',
        theme_color: '#f6f4ee',
        icons: [{ src: '/crown.svg', sizes: 'any', type: 'image/svg+xml' }],
      },
      workbox: {
        globPatterns: ['**/*.{js,css,html,svg,woff2}'],
        navigateFallback: '/index.html',
        navigateFallbackDenylist: [/^\/(api|calendar|health|metrics)\b/],
      },
    }),
  ],
  build: { target: 'es2022', assetsInlineLimit: 0, license: { fileName: 'licences-screens.md' } },
  test: { setupFiles: ['fake-indexeddb/auto'] },
  server: { proxy: { '/api': 'http://127.0.0.1:8420', '/calendar': 'http://127.0.0.1:8420' } },
})
