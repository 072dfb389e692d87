import react from '@vitejs/plugin-react';
import { defineConfig } from 'vite';
import { VitePWA } from 'vite-plugin-pwa';
import { reactCompiler } from './react-compiler.ts';

export default defineConfig({
  plugins: [
    react(),
    reactCompiler(),
    // What was looked at before is there without a connection: the page itself, cars, builds with their pictures, care books.
    VitePWA({
      registerType: 'autoUpdate',
      injectRegister: 'script-defer',
      includeAssets: ['icon.svg', 'icon-192.png', 'icon-512.png'],
      manifest: {
        name: 'Isotherm',
        short_name: 'Isotherm',
        description: 'Sizes, places, builds, proves and looks after an engine oil cooler',
        start_url: '/',
        display: 'standalone',
        background_color: '#f3f0e8',
        theme_color: '#f3f0e8',
        icons: [
          { src: 'icon-192.png', sizes: '192x192', type: 'image/png' },
          { src: 'icon-512.png', sizes: '512x512', type: 'image/png', purpose: 'any maskable' },
          { src: 'icon.svg', sizes: 'any', type: 'image/svg+xml' },
        ],
      },
      workbox: {
        // The guide's pictures among them: it is read under the car.
        globPatterns: ['**/*.{js,css,html,woff2}', 'assets/*.png'],
        maximumFileSizeToCacheInBytes: 4 * 1024 * 1024,
        navigateFallback: null,
        // From the first visit on, and never an old page beside a new one.
        clientsClaim: true,
        skipWaiting: true,
        runtimeCaching: [
          {
            urlPattern: ({ request }) => request.mode === 'navigate',
            handler: 'NetworkFirst',
            options: {
              cacheName: 'isotherm-pages',
              networkTimeoutSeconds: 4,
              precacheFallback: { fallbackURL: '/index.html' },
            },
          },
          {
            urlPattern: /\/api\/(builds|cars)\/[^/]+\/pictures\/[^/]+$/,
            handler: 'CacheFirst',
            options: {
              cacheName: 'isotherm-pictures',
              expiration: { maxEntries: 400 },
              cacheableResponse: { statuses: [200] },
            },
          },
          {
            // Answers that a page is made of; not the streams, the papers and what is computed.
            urlPattern:
              /\/api\/(settings|presets|classes|cars(\/[^/]+(\/(builds|care))?)?|builds\/[^/]+|catalogue\/[a-z]+|broken)(\?[^/]*)?$/,
            method: 'GET',
            handler: 'NetworkFirst',
            options: {
              cacheName: 'isotherm-answers',
              networkTimeoutSeconds: 4,
              expiration: { maxEntries: 300 },
              cacheableResponse: { statuses: [200] },
            },
          },
        ],
      },
    }),
  ],
  build: {
    outDir: 'dist',
    emptyOutDir: true,
    // The largest is the view in space, which is loaded when it is asked for.
    chunkSizeWarningLimit: 1400,
    // React's compiler takes most of a build.
    rolldownOptions: { checks: { pluginTimings: false } },
    // The licences of everything that is in the bundle, made by each build.
    license: { fileName: 'licences.md' },
  },
  // The host's name stays as the browser sent it: the server takes changes from its own pages alone.
  server: { fs: { allow: ['..'] }, proxy: { '/api': { target: 'http://127.0.0.1:8321', changeOrigin: false } } },
});
