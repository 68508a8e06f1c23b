import react from '@vitejs/plugin-react';
import { defaultClientConditions, defineConfig } from 'vite';

export default defineConfig({
  // The compiler remembers what a component drew: on the bench, only what a change touches is drawn again.
  plugins: [react({ compiler: true })],
  resolve: { conditions: ['soft-lark-source', ...defaultClientConditions] },
  build: { outDir: 'dist', sourcemap: true, chunkSizeWarningLimit: 700 },
  server: { proxy: { '/api': 'http://127.0.0.1:4600' } },
});
