import tailwindcss from '@tailwindcss/vite';
import react from '@vitejs/plugin-react';
import { defineConfig } from 'vite';

export default defineConfig({
  plugins: [react(), tailwindcss()],
  build: { target: 'es2022', sourcemap: false },
  worker: { format: 'es' },
  server: { proxy: { '/api': 'http://localhost:8417' } },
});
