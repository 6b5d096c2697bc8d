/**
 * Builds what changed: the server and the web, each with a fingerprint of everything that its build
 * reads. Where that is the same there is nothing to build.
 */
import { spawnSync } from 'node:child_process';
import { createHash } from 'node:crypto';
import { existsSync, readdirSync, readFileSync, statSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import { Plain } from './debian.mjs';
import { oneAtATime } from './oneAtATime.mjs';

/** Folders and files under packages, and what is there once it is built. */
const PARTS = {
  server: {
    reads: [...['core/src', 'contract/src', 'server/src', 'server/demo'], 'server/vite.config.ts'],
    makes: 'server/dist/app/main.js',
  },
  web: {
    reads: [
      ...['core/src', 'contract/src', 'web/src', 'web/public'],
      ...['web/index.html', 'web/keptOnDevice.ts', 'web/vite.config.ts'],
    ],
    makes: 'web/dist/index.html',
  },
};

function filesBelow(place) {
  if (statSync(place).isFile()) return [place];
  return readdirSync(place, { recursive: true, withFileTypes: true })
    .filter((entry) => entry.isFile())
    .map((entry) => path.join(entry.parentPath, entry.name))
    .sort();
}

function stampOf(root, reads) {
  const hash = createHash('sha256');
  const places = ['package-lock.json', ...reads.map((place) => path.join('packages', place))];
  for (const file of places.flatMap((place) => filesBelow(path.join(root, place)))) {
    const { size, mtimeMs } = statSync(file);
    hash.update(`${path.relative(root, file)} ${size} ${mtimeMs}\n`);
  }
  return hash.digest('hex');
}

const staleOf = (root, names) =>
  names.flatMap((name) => {
    const { reads, makes } = PARTS[name];
    const file = path.join(root, `packages/server/dist/${name}.stamp`);
    const stamp = stampOf(root, reads);
    const isBuilt =
      existsSync(path.join(root, 'packages', makes)) &&
      existsSync(file) &&
      readFileSync(file, 'utf8') === stamp;
    return isBuilt ? [] : [{ name, file, stamp }];
  });

/** @throws Plain where a build fails; what it said stands above */
export function build(root, say, names = Object.keys(PARTS)) {
  if (staleOf(root, names).length > 0)
    oneAtATime(root, say, () => buildParts(root, say, staleOf(root, names)));
}

function buildParts(root, say, stale) {
  if (stale.length > 0) say('Building …');
  for (const { name, file, stamp } of stale) {
    const done = spawnSync(
      path.join(root, 'node_modules/.bin/vite'),
      ['build', '--logLevel', 'error'],
      {
        cwd: path.join(root, 'packages', name),
        // Whoever starts it, a test too: the shop runs what is built for a shop.
        env: { ...process.env, NODE_ENV: 'production' },
        stdio: ['ignore', 'inherit', 'inherit'],
      },
    );
    if (done.status !== 0) throw new Plain(`Building the ${name} failed; see above.`);
    writeFileSync(file, stamp);
  }
}
