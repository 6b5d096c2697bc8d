/**
 * npm run shop -- out FILE | in FILE [--take ours|theirs] | code | copy
 * The whole shop out into a file, a file in, a new code for a lead, a copy as every night. Works
 * beside a running shop, or opens its database for as long as it takes.
 *   --data FOLDER   DATABASE_URL=… for a database of your own
 */
import { spawnSync } from 'node:child_process';
import { existsSync, readFileSync } from 'node:fs';
import path from 'node:path';
import { fileURLToPath } from 'node:url';
import { Plain } from './debian.mjs';
import { ensurePackages } from './packages.mjs';
import { startCluster } from './postgres.mjs';

const root = path.dirname(path.dirname(fileURLToPath(import.meta.url)));
const words = process.argv.slice(2);
const at = words.indexOf('--data');
const [, named] = at < 0 ? [] : words.splice(at, 2);
const data = path.resolve(named ?? path.join(root, '.data'));

async function withDatabase(work) {
  const left = path.join(data, 'database-url');
  if (process.env.DATABASE_URL) return work(process.env.DATABASE_URL);
  if (existsSync(left)) return work(readFileSync(left, 'utf8'));
  const cluster = await startCluster({ folder: path.join(data, 'database'), say: console.error });
  try {
    cluster.ensureDatabase('orthochrom');
    return work(cluster.url('orthochrom'));
  } finally {
    cluster.stop();
  }
}

try {
  ensurePackages(root, console.error);
  process.exitCode = await withDatabase(
    (url) =>
      spawnSync(
        process.execPath,
        ['--import', 'tsx', path.join(root, 'scripts/shopCommand.ts'), ...words],
        {
          stdio: 'inherit',
          env: { ...process.env, DATABASE_URL: url, COPIES_FOLDER: path.join(data, 'copies') },
        },
      ).status ?? 1,
  );
} catch (fault) {
  console.error(fault instanceof Plain ? fault.message : fault);
  process.exitCode = 1;
}
