import react from '@vitejs/plugin-react';
import { defaultClientConditions, defineConfig } from 'vite';

export default defineConfig({
  plugins: [react()],
  resolve: { conditions: ['soft-lark-source', ...defaultClientConditions] },
  build: { outDir: 'dist', sourcemap: true, chunkSizeWarningLimit: 700 },
  server: { proxy: { '/api': 'http://127.0.0.1:4600' } },
});
