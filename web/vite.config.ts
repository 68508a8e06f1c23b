import react from '@vitejs/plugin-react';
import { defaultClientConditions, defineConfig } from 'vite';
import { VitePWA } from 'vite-plugin-pwa';

/** Chunks and workers that are fetched when they are wanted: staff, charts, tunes in ABC, tracks, files. */
const LARGE = ['vexflow', 'recharts', 'abcjs', 'track.worker', 'files.worker'];

/** Puts the shell of the application by, so that it opens without the server; no answer of the API is ever kept. */
const shell = VitePWA({
  injectRegister: null,
  manifest: {
    name: 'Soft Lark',
    short_name: 'Soft Lark',
    display: 'standalone',
    start_url: '/today',
    background_color: '#FBF7EF',
    theme_color: '#FBF7EF',
    icons: [{ src: '/soft-lark.svg', sizes: 'any', type: 'image/svg+xml' }],
  },
  workbox: {
    globPatterns: ['index.html', 'assets/*.{js,css,woff2}', '*.svg'],
    // Large, and wanted on a page that is open already.
    globIgnores: LARGE.map((name) => `assets/${name}*`),
    maximumFileSizeToCacheInBytes: 1_500_000,
    navigateFallback: null,
    skipWaiting: true,
    clientsClaim: true,
    cleanupOutdatedCaches: true,
    runtimeCaching: [
      {
        urlPattern: ({ request }) => request.mode === 'navigate',
        handler: 'NetworkFirst',
        options: { cacheName: 'pages', precacheFallback: { fallbackURL: '/index.html' } },
      },
      {
        urlPattern: ({ url }) => url.pathname.startsWith('/sounds/'),
        handler: 'CacheFirst',
        options: { cacheName: 'sounds' },
      },
    ],
  },
});

export default defineConfig({
  // The compiler remembers what a component drew: on the bench, only what a change touches is drawn again.
  plugins: [react({ compiler: true }), shell],
  resolve: { conditions: ['soft-lark-source', ...defaultClientConditions] },
  worker: { format: 'es' },
  build: {
    outDir: 'dist',
    sourcemap: true,
    chunkSizeWarningLimit: 800,
    rolldownOptions: {
      output: {
        codeSplitting: {
          includeDependenciesRecursively: false,
          groups: ['vexflow', 'recharts', 'zod', 'floating-ui'].map((name) => ({
            name,
            test: new RegExp(`node_modules/@?${name}/`),
          })),
        },
      },
    },
  },
  server: { proxy: { '/api': 'http://127.0.0.1:4600' } },
});
