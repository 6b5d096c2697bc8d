import { defineConfig } from 'vite';

/** For Node: the server and its worker; workspace packages are bundled, installed ones are not. */
export default defineConfig({
  build: {
    ssr: true,
    target: 'node20',
    outDir: 'dist/app',
    sourcemap: true,
    minify: false,
    rollupOptions: {
      input: {
        main: 'src/main.ts',
        calculationWorker: 'src/calculation/calculationWorker.ts',
      },
      output: { entryFileNames: '[name].js' },
    },
  },
});
