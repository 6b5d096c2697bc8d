/**
 * npm run check: has this change broken something? Types, lint and format, beside the tests that
 * import what differs from the last commit (or from a branch or commit that is named: npm run check
 * -- main). The whole of it is npm test.
 */
import { spawn } from 'node:child_process';
import path from 'node:path';
import { fileURLToPath } from 'node:url';
import { ensurePackages } from './packages.mjs';
import { READINGS } from './readings.mjs';

const root = path.dirname(path.dirname(fileURLToPath(import.meta.url)));
const since = process.argv[2] ?? 'HEAD';
const CHECKS = ['types', 'lint', 'format'];
/**
 * The API's tests and those of the scripts start a database or a shop, and the calibration goes
 * through hundreds of coats: they are npm test's.
 */
const tests = [
  ...[
    path.join(root, 'node_modules/.bin/vitest'),
    'run',
    '--changed',
    since,
    '--reporter=dot',
    '--passWithNoTests',
  ],
  ...['--project', 'laws'],
  ...['scripts/**', 'calibration/**', 'diagnosis/laws.test.ts', 'noHoles.test.ts'].flatMap(
    (name) => ['--exclude', `**/${name}`],
  ),
];

/** What it says is kept together and shown when it ends: two run at a time. */
const step = (title, [command, ...args]) =>
  new Promise((resolve) => {
    const began = Date.now();
    const said = [];
    const child = spawn(command, args, { cwd: root });
    child.stdout.on('data', (text) => said.push(text));
    child.stderr.on('data', (text) => said.push(text));
    child.once('exit', (code) => {
      if (code !== 0) console.log(String(Buffer.concat(said)));
      const seconds = Math.round((Date.now() - began) / 1000);
      console.log(`${code === 0 ? '✓' : '✗'} ${title}, ${seconds} s`);
      resolve(code === 0);
    });
  });

ensurePackages(root, console.log);
const inOrder = async (steps) => {
  let isGood = true;
  for (const [title, command] of steps) isGood = (await step(title, command)) && isGood;
  return isGood;
};
const results = await Promise.all([
  inOrder(CHECKS.map((name) => [name, READINGS[name]])),
  step('tests of what changed', tests),
]);
process.exitCode = results.every(Boolean) ? 0 : 1;
