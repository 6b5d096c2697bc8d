import react from '@vitejs/plugin-react';
import { defineConfig, type Plugin } from 'vite';
import { compression } from 'vite-plugin-compression2';
import { keptOnDevice } from './keptOnDevice.ts';

/** The letters of the first page come with it, so that no line jumps when they arrive. */
const FIRST_LETTERS = /(barlow-latin-(400|600)|barlow-condensed-latin-(600|700))-normal.*\.woff2$/;
const lettersFirst: Plugin = {
  name: 'letters-first',
  transformIndexHtml: {
    order: 'post',
    handler: (_html, { bundle = {} }) =>
      Object.keys(bundle)
        .filter((file) => FIRST_LETTERS.test(file))
        .map((file) => ({
          tag: 'link',
          attrs: {
            rel: 'preload',
            as: 'font',
            type: 'font/woff2',
            crossorigin: '',
            href: `/${file}`,
          },
          injectTo: 'head',
        })),
  },
};

export default defineConfig({
  plugins: [
    react(),
    lettersFirst,
    // Once at build: the shop's own network takes the packed file as it lies there.
    compression({
      include: /\.(js|css|svg|webmanifest)$/,
      threshold: 1000,
      algorithms: ['gzip', 'brotliCompress'],
    }),
    keptOnDevice(),
  ],
  server: {
    host: '127.0.0.1',
    port: 4301,
    proxy: { '/api': process.env['API_URL'] ?? 'http://127.0.0.1:4300' },
  },
  worker: { format: 'es' },
  build: {
    outDir: 'dist',
    // The kept reads are opened before the first page is drawn.
    target: 'es2022',
    rolldownOptions: {
      output: {
        codeSplitting: {
          groups: [
            { name: 'react', test: /node_modules\/(react|react-dom|react-router|swr|scheduler)\// },
            { name: 'd3', test: /node_modules\/d3/ },
            // What most pages need, in few files: a hundred small ones held a ticket up longer than
            // their bytes, on a shop's network six at a time.
            { name: 'first', tags: ['$initial'] },
            { name: 'today', test: /web\/src\/(today\/|frame\/Notices)/ },
            { name: 'fields', test: /node_modules\/@mantine/ },
            { name: 'knowledge', test: /contract\/src\/knowledge/ },
            { name: 'trade', test: /packages\/(core|contract)\//, minShareCount: 2 },
          ],
        },
      },
    },
  },
});
