/**
 * What reads the code without running it, each check once: for npm test, npm run check, and by name
 * (node scripts/readings.mjs types lint …).
 */
import { spawn } from 'node:child_process';
import path from 'node:path';
import { fileURLToPath } from 'node:url';

const root = path.dirname(path.dirname(fileURLToPath(import.meta.url)));
const modules = (name) => path.join(root, 'node_modules', name);

/** The native compiler, under its own name: the import check still parses with the one before it. */
const TSC = modules('typescript7/bin/tsc');
const projects = ['core', 'contract', 'server', 'web'].map((name) => `packages/${name}`);
/** Memory is there: it is collected a quarter as often, which saves a fifth of the processor. */
const ROOMY = ['env', 'GOGC=400'];

export const READINGS = {
  /** One checker: each further one works out the same types for itself. */
  types: [...ROOMY, TSC, '-b', ...projects, 'e2e', '--checkers', '1'],
  /**
   * Rules of every kind, those too that ask for the types behind a name: .oxlintrc.json. What asks
   * for the types keeps to one core, for the same reason.
   */
  lint: [...ROOMY, 'GOMAXPROCS=1', modules('.bin/oxlint'), '--type-aware', '--quiet'],
  imports: [modules('.bin/depcruise'), '--config', '.dependency-cruiser.cjs', 'packages'],
  format: [modules('.bin/oxfmt'), '--check', '.'],
};

/** Beside one another: each list uses one core. */
export const LANES = [['lint'], ['types', 'imports', 'format']];

if (process.argv[1] === fileURLToPath(import.meta.url))
  for (const name of process.argv.slice(2)) {
    const [command, ...words] = READINGS[name];
    const child = spawn(command, words, { cwd: root, stdio: 'inherit' });
    process.exitCode ||= await new Promise((resolve) => child.once('exit', resolve));
  }
