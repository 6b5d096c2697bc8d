/**
 * What reads the code without running it, each check once: for npm test, npm run check, and by name
 * (node scripts/readings.mjs types lint …).
 */
import { spawn } from 'node:child_process';
import path from 'node:path';
import { fileURLToPath } from 'node:url';

const root = path.dirname(path.dirname(fileURLToPath(import.meta.url)));
const modules = (name) => path.join(root, 'node_modules', name);

/** The native compiler, under its own name: the lint's parser still wants the one before it. */
const TSC = modules('typescript7/bin/tsc');
const projects = ['core', 'contract', 'server', 'web'].map((name) => `packages/${name}`);
const ESLINT = [modules('.bin/eslint'), '.', '--max-warnings', '0'];

export const READINGS = {
  types: [TSC, '-b', ...projects, 'e2e'],
  /** Rules that ask for the types behind a name: .oxlintrc.json. */
  promises: [modules('.bin/oxlint'), '--type-aware', '--quiet'],
  imports: [modules('.bin/depcruise'), '--config', '.dependency-cruiser.cjs', 'packages'],
  format: [modules('.bin/oxfmt'), '--check', '.'],
  /** Rules that read a file by itself: eslint.config.js. */
  lint: ESLINT,
  lintChanged: [...ESLINT, '--cache', '--cache-location', '.data/eslint'],
};

/** Beside one another these take as long as the lint alone: each list uses one core. */
export const LANES = [['types', 'promises', 'imports', 'format'], ['lint']];

if (process.argv[1] === fileURLToPath(import.meta.url))
  for (const name of process.argv.slice(2)) {
    const [command, ...words] = READINGS[name];
    const child = spawn(command, words, { cwd: root, stdio: 'inherit' });
    process.exitCode ||= await new Promise((resolve) => child.once('exit', resolve));
  }
