import react from '@vitejs/plugin-react';
import { defineConfig } from 'vite';

export default defineConfig({
  plugins: [react()],
  server: {
    host: '127.0.0.1',
    port: 4301,
    proxy: { '/api': process.env['API_URL'] ?? 'http://127.0.0.1:4300' },
  },
  worker: { format: 'es' },
  build: {
    outDir: 'dist',
    rolldownOptions: {
      output: {
        codeSplitting: {
          groups: [
            { name: 'mantine', test: /node_modules\/@mantine/ },
            { name: 'react', test: /node_modules\/(react|react-dom|react-router|swr|scheduler)\// },
            { name: 'd3', test: /node_modules\/d3/ },
          ],
        },
      },
    },
  },
});
