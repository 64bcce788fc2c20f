import tailwindcss from '@tailwindcss/vite';
import react from '@vitejs/plugin-react';
import { defineConfig } from 'vite';
import { VitePWA } from 'vite-plugin-pwa';

export default defineConfig({
  root: 'web',
  plugins: [
    react(),
    tailwindcss(),
    // The shell and the bench open while the server is away; what they show is what this browser saw last.
    VitePWA({
      registerType: 'autoUpdate',
      injectRegister: 'script',
      manifest: {
        name: 'Enamelos',
        short_name: 'Enamelos',
        display: 'browser',
        background_color: '#ffffff',
        theme_color: '#161616',
        icons: [{ src: '/ring.svg', sizes: 'any', type: 'image/svg+xml' }],
      },
      workbox: {
        // The newest shell as long as the server answers; the one kept here only where it does not.
        navigateFallback: null,
        directoryIndex: null,
        runtimeCaching: [
          {
            urlPattern: ({ request, url }) => request.mode === 'navigate' && !url.pathname.startsWith('/api/'),
            handler: 'NetworkOnly',
            options: { precacheFallback: { fallbackURL: 'index.html' } },
          },
        ],
        globPatterns: ['**/*.{js,css,html,svg,woff2}'],
        maximumFileSizeToCacheInBytes: 4_000_000,
      },
    }),
  ],
  build: { outDir: '../dist/web', emptyOutDir: true, chunkSizeWarningLimit: 900 },
  worker: { format: 'es' },
  server: { port: 4181, proxy: { '^/api/': 'http://127.0.0.1:4180' } },
});
