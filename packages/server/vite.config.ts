import { defineConfig } from 'vite';

/** One file for Node; workspace packages are bundled, installed ones stay outside. */
export default defineConfig({
  build: {
    ssr: 'src/main.ts',
    target: 'node20',
    outDir: 'dist/app',
    sourcemap: true,
    minify: false,
    rollupOptions: { output: { entryFileNames: 'main.js' } },
  },
});
