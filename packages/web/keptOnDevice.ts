/** Builds the service worker after the app, with the list of what it keeps on the device. */
import { createHash } from 'node:crypto';
import { readdirSync, readFileSync } from 'node:fs';
import path from 'node:path';
import { build, type Plugin } from 'vite';

const KEPT = /\.(js|css|html|svg|woff2|webmanifest)$/;
/** Its name holds its fingerprint: never another one under the same name. */
const HASHED = /^assets\//;

/** What of a built folder is kept: hashed files by name, the others by what is in them. */
export function keptFiles(folder: string): { url: string; revision: string | null }[] {
  const files = readdirSync(folder, { recursive: true, encoding: 'utf8' })
    .map((file) => file.split(path.sep).join('/'))
    .filter((file) => KEPT.test(file) && file !== 'sw.js' && !file.startsWith('types/'))
    .sort();
  return files.map((file) => ({
    url: `/${file}`,
    revision: HASHED.test(file)
      ? null
      : createHash('sha256')
          .update(readFileSync(path.join(folder, file)))
          .digest('hex')
          .slice(0, 32),
  }));
}

export function keptOnDevice(): Plugin {
  let folder = '';
  return {
    name: 'kept-on-device',
    apply: 'build',
    configResolved: ({ root, build: { outDir } }) => {
      folder = path.resolve(root, outDir);
    },
    closeBundle: {
      order: 'post',
      sequential: true,
      handler: async () => {
        await build({
          configFile: false,
          publicDir: false,
          logLevel: 'warn',
          define: { KEPT_FILES: JSON.stringify(keptFiles(folder)) },
          build: {
            outDir: folder,
            emptyOutDir: false,
            rolldownOptions: {
              input: path.join(import.meta.dirname, 'src/serviceWorker.ts'),
              output: { format: 'iife', entryFileNames: 'sw.js' },
            },
          },
        });
      },
    },
  };
}
