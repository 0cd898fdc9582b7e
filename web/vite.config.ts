import react from '@vitejs/plugin-react';
import tailwindcss from '@tailwindcss/vite';
import { defineConfig } from 'vite';
import { messageTables } from './messageTables.ts';

export default defineConfig({
  plugins: [messageTables(), react(), tailwindcss()],
  worker: { format: 'es', plugins: () => [messageTables()] },
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
