/**
 * npm run check: has this change broken something? Types, the lint of what changed since the last
 * look, and the tests that import what differs from the last commit (or from a branch or commit
 * that is named: npm run check -- main). The whole of it is npm test.
 */
import { spawnSync } from 'node:child_process';
import path from 'node:path';
import { fileURLToPath } from 'node:url';
import { ensurePackages } from './packages.mjs';

const root = path.dirname(path.dirname(fileURLToPath(import.meta.url)));
const since = process.argv[2] ?? 'HEAD';
const projects = ['core', 'contract', 'server', 'web'].map((name) => `packages/${name}`);
const steps = [
  ['types', ['tsc', '-b', ...projects, 'e2e']],
  ['lint', ['eslint', '.', '--max-warnings', '0', '--cache', '--cache-location', '.data/eslint']],
  ['format', ['prettier', '--check', '--log-level', 'warn', '--cache', '.']],
  // The API's tests and those of the scripts start a database or a shop: they are npm test's.
  [
    'tests of what changed',
    [
      ...['vitest', 'run', '--changed', since, '--reporter=dot', '--passWithNoTests'],
      ...['core', 'contract', 'web'].flatMap((name) => ['--project', name]),
    ],
  ],
];

ensurePackages(root, console.log);
let failed = 0;
for (const [title, [command, ...args]] of steps) {
  const began = Date.now();
  const { status } = spawnSync(path.join(root, 'node_modules/.bin', command), args, {
    cwd: root,
    stdio: 'inherit',
  });
  console.log(`${status === 0 ? '✓' : '✗'} ${title}, ${Math.round((Date.now() - began) / 1000)} s`);
  failed += status === 0 ? 0 : 1;
}
process.exitCode = failed > 0 ? 1 : 0;
