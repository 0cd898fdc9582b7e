import react from '@vitejs/plugin-react';
import tailwindcss from '@tailwindcss/vite';
import { defineConfig } from 'vite';

export default defineConfig({
  plugins: [react(), tailwindcss()],
  worker: { format: 'es' },
  build: { target: 'es2022', sourcemap: false, chunkSizeWarningLimit: 700 },
  server: {
    port: 5180,
    strictPort: true,
    proxy: {
      '/api': `http://127.0.0.1:${process.env['IDLE_PORT'] ?? 4180}`,
      '/healthz': `http://127.0.0.1:${process.env['IDLE_PORT'] ?? 4180}`,
    },
  },
});
