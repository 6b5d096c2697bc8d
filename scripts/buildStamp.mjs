/**
 * A fingerprint of everything that the build reads: when it is the same, there is nothing to build.
 */
import { createHash } from 'node:crypto';
import { readdirSync, statSync } from 'node:fs';
import path from 'node:path';

const READ = [
  'packages/core/src',
  'packages/contract/src',
  'packages/server/src',
  'packages/server/demo',
  'packages/web/src',
  'packages/web/public',
];
const SINGLE = [
  'package-lock.json',
  'packages/web/index.html',
  'packages/web/keptOnDevice.ts',
  'packages/web/vite.config.ts',
  'packages/server/vite.config.ts',
];

export function buildStamp(root) {
  const hash = createHash('sha256');
  const add = (file) => {
    const { size, mtimeMs } = statSync(path.join(root, file));
    hash.update(`${file} ${size} ${mtimeMs}\n`);
  };
  for (const folder of READ)
    for (const entry of readdirSync(path.join(root, folder), {
      recursive: true,
      withFileTypes: true,
    }).sort((a, b) => (a.parentPath + a.name < b.parentPath + b.name ? -1 : 1)))
      if (entry.isFile()) add(path.relative(root, path.join(entry.parentPath, entry.name)));
  SINGLE.forEach(add);
  return hash.digest('hex');
}
